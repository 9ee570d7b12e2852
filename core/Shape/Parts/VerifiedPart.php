<?php

declare(strict_types=1);

namespace Gnomic\Shape\Parts;

/** That its source has made sure of it: "verified by Wayleaf". */
final readonly class VerifiedPart extends Part
{
    private function __construct(public string $text)
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

        return $context->entry->verified && $source !== null
            ? new self($context->words->say('card.verified', ['source' => $source]))
            : null;
    }

    public static function row(): Row
    {
        return Row::Of;
    }

    public function text(): string
    {
        return $this->text;
    }
}
