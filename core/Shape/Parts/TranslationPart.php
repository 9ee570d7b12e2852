<?php

declare(strict_types=1);

namespace Gnomic\Shape\Parts;

use Gnomic\Text\Pieces;

/** The source's own translation, to unfold beside the words, where they are in another language than what stands around them. */
final readonly class TranslationPart extends Part
{
    /** In em, of the line that unfolds it. */
    private const LINE = 1.5;

    /** @param  string  $said  "Translated by Wayleaf" @param  string  $language  of the text */
    private function __construct(public string $said, public string $text, public string $language)
    {
    }

    public static function name(): string
    {
        return 'translation';
    }

    public static function label(): string
    {
        return 'Its source’s translation';
    }

    public static function of(PartContext $context): ?self
    {
        $translation = $context->entry->translation;
        $source = $context->sourceName();
        $is = fn (?string $tag): bool => strtolower(Pieces::before((string) $tag, '-')) === $context->words->language;

        return $translation === null || $source === null || ! $is($translation->language) || $is($context->entry->language)
            ? null
            : new self($context->words->say('card.translated', ['source' => $source]), $translation->text, $translation->language);
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
        return $this->said;
    }

    public function height(Measure $measure, float $width): float
    {
        return self::LINE * $measure->small($this->said, $width);
    }
}
