<?php

declare(strict_types=1);

namespace Gnomic\Shape\Parts;

/** That its source has made sure of it: "verified by Wayleaf"; where the source is named, SourcePart says so. */
final readonly class VerifiedPart extends Part
{
    /** @param  string  $before  what stands between a day and this */
    private function __construct(public string $text, public string $before)
    {
    }

    public static function name(): string
    {
        return 'verified';
    }

    public static function label(): string
    {
        return 'Verified by its source';
    }

    public static function isUsual(): bool
    {
        return true;
    }

    public static function of(PartContext $context): ?self
    {
        $source = $context->sourceName();

        if (! $context->entry->verified || $source === null || $context->shows(SourcePart::name())) {
            return null;
        }

        return new self(
            $context->words->say('card.verified', ['source' => $source]),
            $context->hasDate() ? $context->words->say('list.comma') : '',
        );
    }

    public static function row(): Row
    {
        return Row::Said;
    }

    public function text(): string
    {
        return $this->before.$this->text;
    }
}
