<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Json\Schema\ChoiceSchema;
use Gnomic\Json\Schema\NumberSchema;
use Gnomic\Json\Schema\ObjectSchema;
use Gnomic\Sift\Clause;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Criteria;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Flattery;
use Gnomic\Sift\Samples;
use Gnomic\Sift\SiteContext;
use Gnomic\Sift\Topic;
use Gnomic\Text\Numbers;

/**
 * Entries rated within bounds, both included, as numbers: 4.6 stars lie between 4 and 5, and not between 1 and 4. Bounds the
 * wrong way round mean the same as the right way round. Those with no rating by a choice of its own.
 */
final readonly class Stars extends Clause
{
    private function __construct(private float $from, private float $to, public bool $keepsUnrated)
    {
    }

    public static function key(): string
    {
        return 'stars';
    }

    public static function topic(): Topic
    {
        return new Topic('stars', 'sift', 'Stars and words', 'only good ones, only those with words');
    }

    public static function columns(): array
    {
        return ['stars'];
    }

    public static function members(): array
    {
        return ['/sift/stars' => ObjectSchema::orNull([
            'from' => NumberSchema::any(1, 5, 1.0),
            'to' => NumberSchema::any(1, 5, 5.0),
            'unrated' => ChoiceSchema::among(['keep', 'drop'], 'drop', 'What happens to entries without a rating.'),
        ], 'Stars from–to, both included; null for any. A rating on another scale is converted by the stated rule first.')];
    }

    public static function samples(Samples $site): array
    {
        return ['/sift/stars' => [
            ['from' => 4],
            ['from' => 2.5, 'to' => 3.5, 'unrated' => 'keep'],
            ['to' => 3],
            ['from' => 5, 'to' => 2],
        ]];
    }

    public static function of(Criteria $wanted, SiteContext $site): ?self
    {
        return self::wanted($wanted);
    }

    public static function wanted(Criteria $wanted): ?self
    {
        $stars = $wanted->part('sift')->objectOrNull('stars');

        return $stars === null
            ? null
            : new self((float) $stars->numberOrNull('from'), (float) $stars->numberOrNull('to'), $stars->string('unrated') === 'keep');
    }

    public static function flatters(Criteria $wanted, SiteContext $site): ?Flattery
    {
        $stars = self::wanted($wanted);

        // From one to five, those without a rating are left out: that moves no mean.
        return $stars !== null && ($stars->least() > 1.0 || $stars->most() < 5.0) ? Flattery::Stars : null;
    }

    public static function called(): string
    {
        return 'the stars';
    }

    public static function looser(Criteria $wanted): array
    {
        $stars = self::wanted($wanted);
        if ($stars === null) {
            return [];
        }
        $now = ['from' => $stars->from, 'to' => $stars->to, 'unrated' => $stars->keepsUnrated ? 'keep' : 'drop'];
        $looser = $stars->keepsUnrated ? [] : [$wanted->with('/sift/stars', ['unrated' => 'keep'] + $now)];
        for ($from = ceil($stars->least()) - 1, $to = floor($stars->most()) + 1; $from >= 1.0 || $to <= 5.0; $from--, $to++) {
            $looser[] = $wanted->with(
                '/sift/stars',
                ['from' => max(1.0, $from), 'to' => $stars->most() >= 5.0 ? 5.0 : min(5.0, $to)] + $now,
            );
        }

        return $looser;
    }

    public static function doubts(Criteria $wanted): array
    {
        $stars = self::wanted($wanted);
        if ($stars === null || $stars->from <= $stars->to) {
            return [];
        }
        [$from, $to] = [Numbers::plain($stars->from), Numbers::plain($stars->to)];

        return ["Stars go from $from to $to. They are used the other way round: from $to to $from."];
    }

    public function least(): float
    {
        return min($this->from, $this->to);
    }

    public function most(): float
    {
        return max($this->from, $this->to);
    }

    public function phrase(): string
    {
        [$least, $most] = [$this->least(), $this->most()];
        [$from, $to] = [Numbers::spoken($least), Numbers::spoken($most)];
        $stars = match (true) {
            $least === 1.0 && $most === 5.0 => 'any stars',
            $least === $most => $from.($least === 1.0 ? ' star' : ' stars').' only',
            $most === 5.0 => "$from stars and up",
            $least === 1.0 => "$to stars and down",
            default => "$from to $to stars",
        };

        return $stars.($this->keepsUnrated ? ' or unrated' : '');
    }

    public function keeps(Facts $entry): bool
    {
        return $entry->stars === null ? $this->keepsUnrated : $entry->stars >= $this->least() && $entry->stars <= $this->most();
    }

    public function reason(Facts $entry): string
    {
        return $entry->stars === null
            ? 'It has no rating; the widget asks for '.$this->phrase().'.'
            : Numbers::plain($entry->stars).($entry->stars === 1.0 ? ' star' : ' stars').'; the widget asks for '.$this->phrase().'.';
    }

    public function condition(): Condition
    {
        return new Condition(
            '(CASE WHEN stars IS NULL THEN ? ELSE stars >= ? AND stars <= ? END)',
            [$this->keepsUnrated ? 1 : 0, $this->least(), $this->most()],
        );
    }
}
