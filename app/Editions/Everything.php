<?php

declare(strict_types=1);

namespace App\Editions;

use App\Models\Site;
use App\Sift\SiteSieve;
use Gnomic\Brief\Brief;
use Gnomic\Edition\EverythingPages;
use Gnomic\Edition\Honesty;
use Illuminate\Support\Facades\DB;

/** The pages of everything that a brief's figures rest on. Entries are opened for those pages alone that are not as they were. */
final readonly class Everything
{
    private function __construct(private Site $site, private Brief $brief, private SiteSieve $sieve)
    {
    }

    /** @param  SiteSieve  $sieve  of the brief itself */
    public static function of(Site $site, Brief $brief, SiteSieve $sieve): self
    {
        $everything = Honesty::everything($brief);

        return new self($site, $everything, $sieve->alongside($everything->criteria));
    }

    /** How many entries the pages offer. */
    public function offered(): int
    {
        return EverythingPages::offered($this->sieve->tally()->passing());
    }

    /**
     * @param  string  $frame  what stands around the entries of every page, as Renderer::frame()
     * @param  array<string, string>  $before  digests of the pages of the edition that is out, by their names
     * @return list<EverythingPage>
     */
    public function pages(Contents $contents, Catalogues $catalogues, string $frame, array $before): array
    {
        $language = $this->site->spoken()[0];
        $note = Honesty::note($this->sieve->tally(), $this->offered(), $catalogues->of($language));
        $briefs = array_map(fn (bool $isNewest): Brief => EverythingPages::brief($this->brief, $isNewest), [false, true]);
        $common = array_map(
            fn (Brief $brief): array => $contents->common($this->site, $brief, $this->sieve, $language),
            $briefs,
        );
        $refs = $this->sieve->passing($this->offered());
        $digests = $this->digests($refs);
        $pages = $wanted = [];
        foreach (EverythingPages::of($refs, $this->sieve->tally()->passing()) as $index => $page) {
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
                $wanted[$index] = new Wanted($briefs[$isNewest], $this->sieve, $page['entries'], $language);
            }
        }
        $made = array_combine(array_keys($wanted), $contents->each($this->site, array_values($wanted)));

        return array_map(fn (array $one, int $index): EverythingPage => new EverythingPage(
            $one[0]['name'],
            $one[2],
            $made[$index] ?? null,
            $one[1],
            $one[0]['newer'],
            $one[0]['older'],
        ), $pages, array_keys($pages));
    }

    /**
     * @param  list<string>  $refs
     * @return array<string, string> of what their sources said, by reference
     */
    private function digests(array $refs): array
    {
        $digests = [];
        foreach (array_chunk($refs, 5_000) as $chunk) {
            $digests += DB::table('entries')->where('site_id', $this->site->id)->whereIn('ref', $chunk)->pluck('digest', 'ref')->all();
        }

        return array_map(strval(...), $digests);
    }
}
