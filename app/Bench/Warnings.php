<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Entry;
use App\Models\Site;
use App\Models\Widget;
use App\Sift\SiteSieve;
use Gnomic\Brief\Brief;
use Gnomic\Brief\Doubts;
use Gnomic\Brief\Numbers;
use Gnomic\Brief\Surroundings;
use Gnomic\Sift\Selection;
use Gnomic\Sift\Sieve;

/**
 * What the owner should know before a brief goes out, each with the phrase of the sentence that mends it, and where one
 * press mends it, with the brief that this gives.
 */
final readonly class Warnings
{
    public function __construct(private Repairs $repairs)
    {
    }

    /** @return list<array{key: string, text: string, repairs: list<array{text: string, brief: array<string, mixed>}>}> */
    public function of(Site $site, Brief $brief, SiteSieve $sieve, Selection $selection, Surroundings $around): array
    {
        return array_map(fn (array $warning): array => $warning + ['repairs' => []], array_values(array_filter([
            $this->nothingLeft($site, $brief, $sieve, $selection),
            $this->onlyPraise($brief),
            ...Doubts::about($brief),
            $this->unknownSources($brief, $around),
            $this->unknownWidgets($site, $brief),
            $this->pinsNotShown($site, $brief, $sieve),
        ])));
    }

    /** @return array<string, mixed>|null */
    private function nothingLeft(Site $site, Brief $brief, SiteSieve $sieve, Selection $selection): ?array
    {
        if ($selection->shown !== []) {
            return null;
        }
        foreach ($selection->steps as $step) {
            if ($step->kept === 0) {
                return $step->key === 'collected'
                    ? ['key' => 'sources', 'text' => 'Nothing has been collected yet. Connect a source first.']
                    : ['key' => self::phraseOf($step->key), 'text' => "Nothing is left: \"$step->phrase\" kept out the last ".number_format($step->dropped).'.', 'repairs' => $this->repairs->of($site, $brief, $sieve)];
            }
        }

        return null;
    }

    /** The phrase of the sentence that opens a step of the sieve. */
    public static function phraseOf(string $step): string
    {
        return match ($step) {
            'kinds', 'shown' => 'order',
            'words' => 'stars',
            'hidden', 'decided', 'never' => 'hand',
            'collected', 'present', 'once', 'channels', 'subjects' => 'sources',
            'length', 'said', 'hashtags' => 'words',
            'pictures', 'reply' => 'media',
            'mostOfAuthor', 'mostOfSource' => 'most',
            default => $step,
        };
    }

    /** @return array{key: string, text: string, repairs: list<array{text: string, brief: array<string, mixed>}>}|null */
    private function onlyPraise(Brief $brief): ?array
    {
        if ($brief->shape->honest || $brief->stars === null || $brief->stars->least() < 3.0) {
            return null;
        }
        $json = $brief->toArray();
        $json['shape'] = ['honest' => true] + $brief->shape->toArray();

        return ['key' => 'head', 'text' => 'Visitors would see praise only, and no word that it is a selection.', 'repairs' => [['text' => 'Say that it is a selection', 'brief' => $json]]];
    }

    /** @return array{key: string, text: string}|null */
    private function unknownSources(Brief $brief, Surroundings $around): ?array
    {
        $unknown = [...array_diff($brief->sources ?? [], array_map(strval(...), array_keys($around->names))), ...array_diff($brief->subjects ?? [], array_map(strval(...), array_keys($around->subjects)))];

        return $unknown === [] ? null
            : ['key' => 'sources', 'text' => 'The brief names what this site does not have: '.implode(', ', array_slice($unknown, 0, 5)).(count($unknown) > 5 ? ' and '.Numbers::spoken(count($unknown) - 5).' more' : '').'. It brings nothing, and does no harm.'];
    }

    /** @return array{key: string, text: string}|null */
    private function unknownWidgets(Site $site, Brief $brief): ?array
    {
        $known = $brief->apartFrom === [] ? [] : Widget::query()->where('site_id', $site->id)->whereIn('key', $brief->apartFrom)->pluck('key')->all();
        $unknown = array_diff($brief->apartFrom, $known);

        return $unknown === [] ? null : ['key' => 'apart', 'text' => 'The brief leaves out what a widget shows that is not there any more ('.implode(', ', $unknown).'). That leaves out nothing.'];
    }

    /** @return array{key: string, text: string}|null */
    private function pinsNotShown(Site $site, Brief $brief, SiteSieve $sieve): ?array
    {
        if ($brief->pins === []) {
            return null;
        }
        $found = Entry::ofRefs($site, $brief->pins);
        $whole = Sieve::of($brief, $sieve->around());
        $reasons = [];
        foreach ($brief->pins as $ref) {
            $facts = ($found[$ref] ?? null)?->facts();
            $reason = $facts === null ? 'It is not there any more.' : $whole->stoppedBy($facts)?->reason($facts);
            if ($reason !== null) {
                $reasons[$reason] = ($reasons[$reason] ?? 0) + 1;
            }
        }

        return $reasons === [] ? null : ['key' => 'hand', 'text' => ucfirst(Numbers::counted(array_sum($reasons), 'pin')).' cannot be shown. '.array_key_first($reasons)];
    }
}
