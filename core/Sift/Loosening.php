<?php

declare(strict_types=1);

namespace Gnomic\Sift;

use DateTimeImmutable;
use Gnomic\Brief\Brief;
use Gnomic\Brief\BriefReader;
use Gnomic\Brief\LengthWanted;

/** A brief with one of its clauses loosened, little by little until the clause is gone. */
final readonly class Loosening
{
    /** @param  string  $phrase  what the owner is offered: "three stars and up", "without: in German" */
    private function __construct(public string $key, public string $phrase, public Brief $brief)
    {
    }

    /** Whether a clause is the brief's own wish, and can be taken out of it. */
    public static function canLeaveOut(Clause $clause): bool
    {
        return in_array($clause->key(), ['sources', 'channels', 'subjects', 'kinds', 'allowed', 'apart', 'stars', 'words', 'length', 'pictures', 'reply', 'languages', 'when', 'said', 'hashtags', 'labels'], true);
    }

    /**
     * Looser and looser, the smallest change first, no clause at all last.
     *
     * @return list<self>
     */
    public static function of(Brief $brief, string $key): array
    {
        $looser = [];
        foreach (self::rungs($brief, $key) as $changed) {
            $looser[] = self::to($brief, $key, $changed);
        }
        $looser[] = self::without($brief, [$key]);

        return $looser;
    }

    /** @param  list<string>  $keys  of clauses that are taken out */
    public static function without(Brief $brief, array $keys): self
    {
        $json = $brief->toArray();
        $phrases = [];
        foreach ($keys as $key) {
            [$part, $member, $empty] = match ($key) {
                'sources', 'channels', 'subjects', 'kinds' => ['gather', $key, null],
                'allowed' => ['gather', 'allowed', []],
                'apart' => ['gather', 'apartFrom', []],
                'words' => ['sift', 'withWords', false],
                'pictures' => ['sift', 'withPictures', false],
                'reply' => ['sift', 'withReply', false],
                'said' => ['sift', 'words', null],
                'languages' => ['sift', 'languages', $brief->languages?->pageFirst === true ? ['pageFirst' => true] : null],
                'labels' => ['sift', 'labels', $brief->labels === null || $brief->labels->byPage === [] ? null : ['byPage' => $brief->labels->toArray()['byPage']]],
                'mostOfAuthor' => ['sift', 'most', ['source' => $brief->most?->source]],
                'mostOfSource' => ['sift', 'most', ['author' => $brief->most?->author]],
                default => ['sift', $key, null],
            };
            if (is_array($json[$part])) {
                $json[$part][$member] = $empty;
            }
            $phrases[] = self::called($key);
        }

        return new self($keys[0] ?? '', 'Leave out '.implode(' and ', $phrases), BriefReader::read($json));
    }

    private static function called(string $key): string
    {
        return match ($key) {
            'sources' => 'the choice of sources', 'channels' => 'the choice of channels', 'subjects' => 'the choice of subjects', 'kinds' => 'the choice of kinds',
            'allowed' => 'what channels allow', 'apart' => 'what other widgets show', 'stars' => 'the stars', 'words' => 'the wish for words', 'length' => 'the length',
            'pictures' => 'the wish for pictures', 'reply' => 'the wish for a reply', 'languages' => 'the languages', 'when' => 'the time', 'said' => 'the words said',
            'hashtags' => 'the hashtags', 'labels' => 'the labels', 'mostOfAuthor' => 'the most from one author', 'mostOfSource' => 'the most from one source', default => $key,
        };
    }

    /** @return list<array<string, mixed>> members of the brief's part "sift" that are changed, the smallest change first */
    private static function rungs(Brief $brief, string $key): array
    {
        return match ($key) {
            'stars' => self::starRungs($brief),
            'when' => $brief->when?->last === null ? []
                : array_map(fn (array $longer): array => ['when' => $longer + $brief->when->toArray()], self::longer($brief->when->last, $brief->when->unit)),
            'length' => self::lengthRungs($brief),
            'languages' => $brief->languages === null || $brief->languages->keepUnknown ? [] : [['languages' => ['unknown' => 'keep'] + $brief->languages->toArray()]],
            default => [],
        };
    }

    /** @return list<array<string, mixed>> */
    private static function starRungs(Brief $brief): array
    {
        if ($brief->stars === null) {
            return [];
        }
        $rungs = $brief->stars->keepUnrated ? [] : [['stars' => ['unrated' => 'keep'] + $brief->stars->toArray()]];
        for ($from = ceil($brief->stars->least()) - 1, $to = floor($brief->stars->most()) + 1; $from >= 1.0 || $to <= 5.0; $from--, $to++) {
            $rungs[] = ['stars' => ['from' => max(1.0, $from), 'to' => $brief->stars->most() >= 5.0 ? 5.0 : min(5.0, $to)] + $brief->stars->toArray()];
        }

        return $rungs;
    }

    /** @return list<array<string, mixed>> */
    private static function lengthRungs(Brief $brief): array
    {
        $length = $brief->length ?? new LengthWanted(0, null);
        $rungs = [];
        for ($times = 2; $times <= 4096 && ($length->least() >= $times || ($length->most() !== null && $length->most() * $times < 100_000)); $times *= 2) {
            $rungs[] = ['length' => ['from' => intdiv($length->least(), $times), 'to' => $length->most() === null ? null : min(100_000, $length->most() * $times)]];
        }

        return $rungs;
    }

    /** @return list<array{last: int, unit: string}> */
    private static function longer(int $last, string $unit): array
    {
        $days = $unit === 'days' ? $last : $last * 30;
        $rungs = array_filter([[30, 'days'], [90, 'days'], [6, 'months'], [12, 'months'], [24, 'months'], [60, 'months']], fn (array $rung): bool => $days < $rung[0] * ($rung[1] === 'days' ? 1 : 30.4));

        return array_map(fn (array $rung): array => ['last' => $rung[0], 'unit' => $rung[1]], array_values($rungs));
    }

    /** @param  array<string, mixed>  $changed */
    private static function to(Brief $brief, string $key, array $changed): self
    {
        $json = $brief->toArray();
        $json['sift'] = $changed + (is_array($json['sift']) ? $json['sift'] : []);
        $looser = BriefReader::read($json);
        $phrase = '';
        foreach (Sieve::of($looser, new Circumstances(new DateTimeImmutable('@0')))->clauses as $clause) {
            $phrase = $clause->key() === $key ? $clause->phrase() : $phrase;
        }

        return new self($key, $phrase === '' ? 'Leave out '.self::called($key) : ucfirst($phrase), $looser);
    }
}
