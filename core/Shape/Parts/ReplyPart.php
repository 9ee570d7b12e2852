<?php

declare(strict_types=1);

namespace Gnomic\Shape\Parts;

/** The owner's reply. */
final readonly class ReplyPart extends Part
{
    /** Beside it, in em. */
    private const EDGE = 0.875;

    private function __construct(public string $text)
    {
    }

    public static function name(): string
    {
        return 'reply';
    }

    public static function label(): string
    {
        return 'Your reply';
    }

    public static function of(PartContext $context): ?self
    {
        $reply = $context->entry->reply;

        return $reply === null ? null : new self($reply->text);
    }

    public static function kept(): ?float
    {
        return null;
    }

    public static function isHeld(): bool
    {
        return false;
    }

    public function text(): string
    {
        return $this->text;
    }

    public function height(Measure $measure, float $width): float
    {
        return Metrics::SMALL_LINE * (1 + $measure->small($this->text, min($width, Metrics::WIDEST_SMALL) - self::EDGE));
    }
}
