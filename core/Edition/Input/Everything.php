<?php

declare(strict_types=1);

namespace Gnomic\Edition\Input;

use Gnomic\Brief\Brief;
use Gnomic\Edition\Advice\Honesty;
use Gnomic\Sift\Sifted;

/** The pages of everything that a brief's figures rest on. Entries are looked up for those alone that are not as they were. */
final readonly class Everything
{
    /** Pages that are made at once with what visitors see first. */
    private const AT_ONCE = 3;

    private const NEWEST = 'all.html';

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

    /** Whether there are more pages than are made at once with what visitors see first. */
    public function isLong(): bool
    {
        return $this->offered() > self::AT_ONCE * EverythingPages::SIZE;
    }

    /**
     * The pages as they are out, whatever has changed since; where none are, the newest alone, until the others are made.
     *
     * @param  string  $frame  as pages()
     * @param  array<string, string>  $before  as pages()
     * @return list<EverythingPage>
     */
    public function asBefore(string $frame, array $before): array
    {
        if (isset($before[self::NEWEST])) {
            return array_map(
                fn (string $name, string $digest): EverythingPage => new EverythingPage($name, $digest, null, null, null, null),
                array_keys($before),
                array_values($before),
            );
        }
        $language = $this->supply->spoken()[0];
        $size = ($this->sifted->tally()->passing() - 1) % EverythingPages::SIZE + 1;
        $refs = $this->sifted->passing($size);
        $order = new InputOrder(EverythingPages::brief($this->brief, true), $this->sifted, $refs, $language);
        $note = Honesty::note($this->sifted->tally(), $this->offered(), $this->supply->words($language));

        return [new EverythingPage(self::NEWEST, "alone $frame", $this->supply->inputs([$order])[0] ?? null, $note, null, null)];
    }

    /**
     * @param  int  $most  pages that are made anew; beyond them, what is out stays for now
     * @param  string  $frame  what stands around the entries of every page
     * @param  array<string, string>  $before  digests of the pages of the edition that is out, by their names
     * @return list<EverythingPage>
     */
    public function pages(string $frame, array $before, int $most = PHP_INT_MAX): array
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
            $out = $before[$page['name']] ?? null;
            if ($out !== $digest && count($orders) >= $most) {
                // A page that is not there yet is made in another turn.
                if ($out !== null) {
                    $pages[$index] = [$page, $told, $out];
                }

                continue;
            }
            $pages[$index] = [$page, $told, $digest];
            if ($out !== $digest) {
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
