<?php

declare(strict_types=1);

namespace Gnomic\Shape\Parts;

final readonly class TitlePart extends Part
{
    private function __construct(public string $text)
    {
    }

    public static function name(): string
    {
        return 'title';
    }

    public static function label(): string
    {
        return 'Title';
    }

    public static function isUsual(): bool
    {
        return true;
    }

    public static function of(PartContext $context): ?self
    {
        return $context->entry->title === null ? null : new self($context->entry->title);
    }

    public static function kept(): float
    {
        return Metrics::LEADING;
    }

    public function text(): string
    {
        return $this->text;
    }

    public function height(Measure $measure, float $width): float
    {
        return Metrics::LEADING * $measure->paragraph($this->text, true)->linesAt(min($width, Metrics::WIDEST));
    }

    public function lineFrom(Measure $measure): float
    {
        return $measure->paragraph($this->text, true)->widest();
    }
}
