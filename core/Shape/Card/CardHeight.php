<?php

declare(strict_types=1);

namespace Gnomic\Shape\Card;

use Gnomic\Edition\Room;
use Gnomic\Shape\Fields;
use Gnomic\Shape\Lines\Font;
use Gnomic\Shape\Lines\Paragraph;
use Gnomic\Shape\Shape;

/**
 * How high a card becomes at a width, before anything is drawn. Sizes are those of resources/widget/parts, in the size of a visitor's
 * letters (em); a browser test holds them to what is drawn.
 */
final readonly class CardHeight
{
    /** CSS pixels of an em at the usual size of letters. */
    public const EM = 16.0;

    /** Between the blocks of a card, and of its lines by their size. */
    public const GAP = 0.5;

    public const LEADING = 1.5;

    /** Sizes of small print and of the title; the height of a face. */
    public const SMALL = 0.875;

    private const FACE = 2.5;

    /** "Read more" with what is kept free around it. */
    public const MORE = self::SMALL * self::LEADING + 0.375;

    /** Height by width of pictures that are cut to a shape. */
    private const SHAPES = ['landscape' => 0.75, 'square' => 1.0, 'portrait' => 4 / 3, 'wide' => 9 / 16];

    /** Of pictures that are not cut. */
    private const TALLEST = 40.0;

    /** Beside a reply, and beside a face. */
    private const REPLY_EDGE = 0.875;

    private const FACE_EDGE = 3.125;

    private ?Paragraph $words;

    private ?Paragraph $title;

    private ?Paragraph $reply;

    private Memo $memo;

    private function __construct(
        private Card $card,
        private Font $font,
        private float $size,
        private string $picture,
        private CardBox $box,
    ) {
        $this->memo = new Memo;
        $this->words = $card->words === null ? null : Paragraph::of($card->words.($card->isCut ? ' …' : ''), $font);
        $this->title = $card->title === null ? null : Paragraph::of($card->title, $font, true);
        $this->reply = $card->reply === null ? null : Paragraph::of($card->reply, $font);
    }

    /** @param  float  $size  of the words, in em */
    public static function of(Card $card, Shape $shape, Font $font, float $size, ?CardBox $box = null): self
    {
        return new self($card, $font, $size, $shape->picture, $box ?? CardBox::usual());
    }

    /** Lines of the words. @param  float  $width  within the card in em */
    private function lines(float $width): int
    {
        return $this->words?->linesAt($width / $this->size) ?? 0;
    }

    /** What is left of the width of a card. */
    private function within(float $width): float
    {
        return max(0.5, $width - 2 * $this->box->side);
    }

    /**
     * Whether words take more lines than these, or on cards that are equally high, a title or a name more than one.
     *
     * @param  list<string>  $without  parts that are not shown
     */
    public function isCut(float $width, int $lines, array $without, bool $isLevel): bool
    {
        $width = $this->within($width);

        return $this->words !== null && ! in_array('words', $without, true)
            && ($this->lines($width) > $lines || ($isLevel && $width < $this->briefFrom($without)));
    }

    /**
     * In em, with what is kept free around the card.
     *
     * @param  float  $width  of the card in em, as of all that is asked here
     * @param  int|null  $most  lines that the words are clamped to
     * @param  list<string>  $without  parts that are not shown
     * @param  bool  $isLevel  whether the title and the name take one line each, as where all cards are equally high: the rest is
     *     read on, where there are words
     */
    public function at(float $width, ?int $most = null, array $without = [], bool $isLevel = false): float
    {
        $width = $this->within($width);
        $blocks = [];
        $isLevel = $isLevel && $this->words !== null && ! in_array('words', $without, true);
        foreach ($this->card->blocks as $parts) {
            $parts = $without === [] ? $parts : array_values(array_diff($parts, $without));
            if ($parts !== []) {
                $blocks[] = $isLevel && ! in_array($parts[0], ['words', 'pictures', 'reply', 'labels', 'subject'], true)
                    ? ($parts[0] === 'title' ? self::LEADING : self::fixedBy($parts))
                    : $this->block($parts, $width, $most);
            }
        }

        return $this->box->ends() + array_sum($blocks) + self::GAP * max(0, count($blocks) - 1) + 2 * $this->box->around;
    }

    /**
     * Of a card whose height is the same whatever was written: each part that cards show, once, and so many lines of words; without
     * what is kept free around it.
     *
     * @param  list<string>  $parts  of Fields::CARD
     */
    public static function fixed(array $parts, int $lines, float $size, CardBox $box): float
    {
        $height = $box->ends();
        $blocks = Fields::blocks(array_values(array_diff($parts, ['pictures', 'reply'])));
        foreach ($blocks as $block) {
            $height += match ($block[0]) {
                'words' => $lines * $size * $box->leading + self::MORE,
                'title' => self::LEADING,
                default => self::fixedBy($block),
            };
        }

        return $height + self::GAP * max(0, count($blocks) - 1);
    }

    /**
     * Lines of words on this card in a height that is fixed: what it lacks of other parts is theirs.
     *
     * @param  list<string>  $without  parts that are not shown
     */
    public function fixedLines(float $height, float $width, array $without): int
    {
        $width = $this->within($width);
        $others = $this->box->ends();
        foreach ($this->card->blocks as $block) {
            $parts = array_values(array_diff($block, $without));
            $others += $parts === [] ? 0.0 : $this->besideWords($parts, $width);
        }

        return max(1, (int) floor(($height - $others + 0.01) / ($this->size * $this->box->leading)));
    }

    /**
     * What a block takes of a height that is fixed, with what is kept free around it; of words, what is not theirs.
     *
     * @param  non-empty-list<string>  $parts
     */
    private function besideWords(array $parts, float $width): float
    {
        return self::GAP + match ($parts[0]) {
            'words' => self::MORE - self::GAP,
            'title' => self::LEADING,
            'rating', 'subject', 'labels', 'likes' => self::SMALL * self::LEADING,
            'pictures', 'reply' => $this->block($parts, $width, null),
            default => self::fixedBy($parts),
        };
    }

    /** @param  list<string>  $parts */
    private static function fixedBy(array $parts): float
    {
        $lines = (int) in_array('name', $parts, true)
            + (int) (array_intersect($parts, ['role', 'place']) !== [])
            + (int) (array_intersect($parts, ['date', 'source']) !== []);

        return max(in_array('face', $parts, true) ? self::FACE : 0.0, max(1, $lines) * self::SMALL * self::LEADING);
    }

    /** @param  non-empty-list<string>  $parts */
    private function block(array $parts, float $width, ?int $most): float
    {
        $small = self::SMALL * self::LEADING;
        $lines = fn (string $text, float $room): int => $this->paragraph($text)->linesAt($room / self::SMALL);

        return match ($parts[0]) {
            'title' => self::LEADING * ($this->title?->linesAt($width) ?? 0),
            'words' => $this->wordsAt($width, $most),
            'reply' => $small * (1 + ($this->reply?->linesAt(($width - self::REPLY_EDGE) / self::SMALL) ?? 0)),
            'pictures' => $this->picturesAt($width),
            'rating' => $small,
            'subject' => $small * $lines((string) $this->card->subject, $width),
            'labels' => $small * $lines(implode(', ', $this->card->labels), $width),
            'likes' => $small * $lines((string) $this->card->counts, $width),
            default => $this->by($parts, $width),
        };
    }

    /**
     * From which width on the title, the name, and the role with the place take a line each at most.
     *
     * @param  list<string>  $without
     */
    private function briefFrom(array $without): float
    {
        return $this->memo->of('brief '.implode(' ', $without), function () use ($without): float {
            $from = 0.0;
            foreach ($this->card->blocks as $block) {
                $parts = array_values(array_diff($block, $without));
                $from = $parts === ['title'] ? max($from, $this->title?->widest() ?? 0.0) : $from;
                foreach ($this->who($parts) as $line) {
                    $from = max($from, $line->widest() * self::SMALL + ($this->hasFace($parts) ? self::FACE_EDGE : 0.0));
                }
            }

            return $from;
        });
    }

    private function wordsAt(float $width, ?int $most): float
    {
        $lines = $this->lines($width);
        $isMore = $this->card->rest !== null || ($most !== null && $lines > $most);

        return min($lines, $most ?? $lines) * $this->size * $this->box->leading + ($isMore ? self::MORE : 0.0);
    }

    private function picturesAt(float $width): float
    {
        $count = count($this->card->pictures);
        $first = $this->card->pictures[0] ?? null;
        // As they are, they are as high as their width makes them, up to a bound.
        $most = isset(self::SHAPES[$this->picture]) ? INF : self::TALLEST;
        $ratio = self::SHAPES[$this->picture] ?? 1 / max(0.2, $first?->ratio() ?? 4 / 3);

        return match (true) {
            $count === 0 => 0.0,
            $count === 1 => min($most, $width * $ratio),
            default => (int) ceil($count / 2) * (min($most, ($width - 0.375) / 2 * $ratio) + 0.375) - 0.375,
        };
    }

    /** @param  list<string>  $parts */
    private function by(array $parts, float $width): float
    {
        $where = (in_array('date', $parts, true) ? $this->card->when : '')
            .(in_array('source', $parts, true) ? $this->card->saidAt[0].$this->card->where : '');
        $lines = 0;
        foreach ([...$this->who($parts), ...($where === '' ? [] : [$this->paragraph($where)])] as $line) {
            $lines += $line->linesAt($this->beside($parts, $width));
        }

        return max($this->hasFace($parts) ? self::FACE : 0.0, $lines * self::SMALL * self::LEADING);
    }

    /** @param  list<string>  $parts */
    private function hasFace(array $parts): bool
    {
        return in_array('face', $parts, true) && $this->card->face !== null;
    }

    /**
     * Room of a line of small print, in its own size.
     *
     * @param  list<string>  $parts
     */
    private function beside(array $parts, float $width): float
    {
        return ($width - ($this->hasFace($parts) ? self::FACE_EDGE : 0.0)) / self::SMALL;
    }

    /**
     * @param  list<string>  $parts
     * @return list<Paragraph> the name, and the role with the place
     */
    private function who(array $parts): array
    {
        $of = fn (string $part, ?string $said): ?string => in_array($part, $parts, true) ? $said : null;
        $name = $of('name', $this->card->name);
        $who = implode(', ', array_filter([$of('role', $this->card->role), $of('place', $this->card->place)]));

        return [
            ...($name === null || $name === '' ? [] : [$this->paragraph($name, true)]),
            ...($who === '' ? [] : [$this->paragraph($who)]),
        ];
    }

    private function paragraph(string $text, bool $bold = false): Paragraph
    {
        return $this->memo->of($bold.$text, fn (): Paragraph => Paragraph::of($text, $this->font, $bold));
    }
}
