<?php

declare(strict_types=1);

namespace Gnomic\Shape\Parts;

/** Hashtags and labels. */
final readonly class LabelsPart extends Part
{
    /** @param  non-empty-list<string>  $labels */
    private function __construct(public array $labels)
    {
    }

    public static function name(): string
    {
        return 'labels';
    }

    public static function label(): string
    {
        return 'Labels';
    }

    public static function of(PartContext $context): ?self
    {
        return $context->entry->tags === [] ? null : new self($context->entry->tags);
    }

    public static function isHeld(): bool
    {
        return false;
    }

    public function text(): string
    {
        return implode(', ', $this->labels);
    }
}
