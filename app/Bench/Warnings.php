<?php

declare(strict_types=1);

namespace App\Bench;

use Gnomic\Brief\Brief;
use Gnomic\Brief\Surroundings;
use Gnomic\Sift\Selection;

/** What the owner should know before a brief goes out, each with the phrase of the sentence that mends it. */
final class Warnings
{
    /** @return list<array{key: string, text: string}> */
    public function of(Brief $brief, Selection $selection, Surroundings $around): array
    {
        return array_values(array_filter([
            $this->nothingLeft($selection),
            $this->onlyPraise($brief),
            $this->unknownSources($brief, $around),
        ]));
    }

    /** @return array{key: string, text: string}|null */
    private function nothingLeft(Selection $selection): ?array
    {
        if ($selection->shown !== []) {
            return null;
        }
        foreach ($selection->steps as $step) {
            if ($step->kept === 0) {
                $key = match ($step->key) {
                    'kinds' => 'order',
                    'words' => 'stars',
                    'hidden' => 'hand',
                    'collected', 'present' => 'sources',
                    default => $step->key,
                };

                return ['key' => $key, 'text' => $step->key === 'collected'
                    ? 'Nothing has been collected yet. Connect a source first.'
                    : "Nothing is left: \"$step->phrase\" kept out the last $step->dropped. Loosen it to show some."];
            }
        }

        return null;
    }

    /** @return array{key: string, text: string}|null */
    private function onlyPraise(Brief $brief): ?array
    {
        return ! $brief->shape->honest && $brief->stars !== null && $brief->stars->from >= 3.0
            ? ['key' => 'head', 'text' => 'Visitors would see praise only, and no word that it is a selection. Switch the honest line on.']
            : null;
    }

    /** @return array{key: string, text: string}|null */
    private function unknownSources(Brief $brief, Surroundings $around): ?array
    {
        $unknown = array_diff($brief->sources ?? [], array_map(strval(...), array_keys($around->names)));

        return $unknown === [] ? null
            : ['key' => 'sources', 'text' => 'The brief names sources that this site does not have: '.implode(', ', $unknown).'. They bring nothing.'];
    }
}
