<?php

declare(strict_types=1);

namespace Gnomic\Shape\Parts;

use Gnomic\Entry\Kind;
use Gnomic\Shape\Card\CardBox;
use Gnomic\Shape\Shortening;

/** What was said, shortened where there is more of it than the brief wants. */
final readonly class WordsPart extends Part
{
    /** A sentence of at most so many characters, by the sign at its end. */
    private const LEAD = '/^[^\n]{6,64}?[.!?…。！？]["\'”’»)]*(?=\s|(?<=[。！？]))/u';

    /** Height of its lines by their size, and what is kept free below it, in its own size. */
    public const LEAD_LINE = 1.2;

    public const LEAD_BELOW = 0.35;

    /** Width of a character, about, by the size of letters. */
    private const CHARACTER = 0.55;

    private string $plain;

    private string $quoted;

    /**
     * @param  string|null  $rest  what is left out; null where nothing is
     * @param  bool  $isCut  whether an ellipsis stands for the rest
     * @param  bool  $isQuoted  whether somebody is quoted, and not just shown
     */
    private function __construct(public string $text, public ?string $rest, public bool $isCut, public bool $isQuoted)
    {
        $this->plain = $text.($isCut ? "\u{A0}…" : '');
        $this->quoted = $this->plain.($isQuoted ? '”' : '');
    }

    public static function name(): string
    {
        return 'words';
    }

    public static function label(): string
    {
        return 'Words';
    }

    public static function isUsual(): bool
    {
        return true;
    }

    public static function of(PartContext $context): ?self
    {
        $short = Shortening::to($context->isWhole ? null : $context->shape->shorten, $context->entry->text);
        if ($short->text === '') {
            return null;
        }

        return new self(
            $short->text,
            $short->isShortened ? mb_strcut(trim($context->entry->text), strlen($short->text)) : null,
            $short->isShortened && ! $short->endsOpen(),
            $context->entry->kind !== Kind::Post && $context->shape->composition()::quotes(),
        );
    }

    /** Lines are kept for it, and "read more": see CardHeight. */
    public static function kept(): float
    {
        return Metrics::MORE;
    }

    public static function isHeld(): bool
    {
        return false;
    }

    public function text(): string
    {
        return $this->text;
    }

    /** All that was said, in full. */
    public function whole(): string
    {
        return $this->text.$this->rest;
    }

    /** Lines that it takes. @param  float  $width  within the card, in em */
    public function lines(Measure $measure, float $width): int
    {
        $room = min($width / $measure->size, self::CHARACTER * $measure->box->measure);

        return $measure->paragraph($this->set($measure->box))->linesAt($room);
    }

    /** The first sentence, where it is short and something follows on it; null where it is not. */
    public function lead(): ?string
    {
        return preg_match(self::LEAD, $this->text, $found) === 1 && strlen($found[0]) < strlen($this->text) ? $found[0] : null;
    }

    /** As it is set: an opening mark hangs outside, the closing one takes room. */
    public function set(CardBox $box): string
    {
        return $box->quotes ? $this->quoted : $this->plain;
    }

    public function height(Measure $measure, float $width): float
    {
        return $this->clamped($measure, $width, null);
    }

    /** @param  int|null  $most  lines that it is clamped to; null: all are shown */
    public function clamped(Measure $measure, float $width, ?int $most): float
    {
        $lead = $measure->lead === null || $most !== null ? null : $this->lead();
        if ($lead !== null && $measure->lead !== null) {
            return $this->led($measure, $lead, $measure->lead, $width);
        }
        $lines = $this->lines($measure, $width);

        return min($lines, $most ?? $lines) * $measure->size * $measure->leading
            + ($this->isMore($measure, $width, $most) ? Metrics::MORE : 0.0);
    }

    /** Whether there is more to read. @param  int|null  $most  lines that it is clamped to; null: all are shown */
    public function isMore(Measure $measure, float $width, ?int $most): bool
    {
        return $this->rest !== null || ($most !== null && $this->lines($measure, $width) > $most);
    }

    /** With its first sentence larger. @param  float  $size  of that, in em */
    private function led(Measure $measure, string $lead, float $size, float $width): float
    {
        $most = self::CHARACTER * $measure->box->measure * $measure->size;
        $lines = fn (string $text, float $of): int => $measure->paragraph($text)->linesAt(min($width, $most) / $of);
        $rest = substr($this->set($measure->box), strlen($lead));

        return $size * ($lines($lead, $size) * self::LEAD_LINE + self::LEAD_BELOW)
            + $lines(ltrim($rest), $measure->size) * $measure->size * $measure->leading
            + ($this->rest === null ? 0.0 : Metrics::MORE);
    }
}
