<?php

declare(strict_types=1);

namespace Gnomic\Shape\Parts;

/** The venue, the product or whatever else it is about. */
final readonly class SubjectPart extends Part
{
    private function __construct(public string $text)
    {
    }

    public static function name(): string
    {
        return 'subject';
    }

    public static function label(): string
    {
        return 'What it is about';
    }

    public static function of(PartContext $context): ?self
    {
        $subject = $context->entry->subject;

        return $subject === null ? null : new self($context->names->subject($subject));
    }

    public static function isOnEverything(): bool
    {
        return false;
    }

    public static function isHeld(): bool
    {
        return false;
    }

    public function text(): string
    {
        return $this->text;
    }
}
