<?php

declare(strict_types=1);

namespace Gnomic\Edition\Input;

use Gnomic\Brief\Brief;
use Gnomic\Edition\Advice\Honesty;
use Gnomic\Sift\Sifted;

/** The pages of everything that a brief's figures rest on. Entries are looked up for those alone that are not as they were. */
final readonly class Everything
{
    private function __construct(private Supply $supply, private Brief $brief, private Sifted $sifted)
    {
    }

    /** @param  Sifted  $sifted  by the brief itself */
    public static function of(Supply $supply, Brief $brief, Sifted $sifted): self
    {
        $everything = Honesty::everything($brief);

        return new self($supply, $everything, $sifted->alongside($everything->criteria));
    }

    /** How many entries the pages offer. */
    public function offered(): int
    {
        return EverythingPages::offered($this->sifted->tally()->passing());
    }

    /**
     * @param  string  $frame  what stands around the entries of every page
     * @param  array<string, string>  $before  digests of the pages of the edition that is out, by their names
     * @return list<EverythingPage>
     */
    public function pages(string $frame, array $before): array
    {
        $language = $this->supply->spoken()[0];
        $note = Honesty::note($this->sifted->tally(), $this->offered(), $this->supply->words($language));
        $briefs = array_map(fn (bool $isNewest): Brief => EverythingPages::brief($this->brief, $isNewest), [false, true]);
        $common = array_map(fn (Brief $brief): array => $this->supply->common($brief, $this->sifted, $language), $briefs);
        $refs = $this->sifted->passing($this->offered());
        $digests = $this->supply->digests($refs);
        $pages = $orders = [];
        foreach (EverythingPages::of($refs, $this->sifted->tally()->passing()) as $index => $page) {
            $isNewest = (int) ($page['newer'] === null);
            $told = $isNewest === 1 ? $note : null;
            $digest = hash('xxh128', json_encode([
                $frame,
                $common[$isNewest],
                $told,
                $page['newer'],
                $page['older'],
                array_map(fn (string $ref): array => [$ref, $digests[$ref] ?? ''], $page['entries']),
            ], JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE));
            $pages[] = [$page, $told, $digest];
            if (($before[$page['name']] ?? null) !== $digest) {
                $orders[$index] = new InputOrder($briefs[$isNewest], $this->sifted, $page['entries'], $language);
            }
        }
        $inputs = array_combine(array_keys($orders), $this->supply->inputs(array_values($orders)));

        return array_map(fn (array $one, int $index): EverythingPage => new EverythingPage(
            $one[0]['name'],
            $one[2],
            $inputs[$index] ?? null,
            $one[1],
            $one[0]['newer'],
            $one[0]['older'],
        ), $pages, array_keys($pages));
    }
}
