<?php

declare(strict_types=1);

namespace Gnomic\Sift;

use Gnomic\Entry\Entry;

/**
 * A brief's choice among entries that are at hand. Two of them may have one identifier: each has a reference of its own, which is its
 * identifier, or that and a number.
 */
final readonly class PlainSieve implements Sifted
{
    public Sifting $sifting;

    /** @var array<string, Entry> by reference */
    private array $entries;

    /** @var array<int, string> references by the object of the facts */
    private array $refs;

    /** @param  list<Entry>  $all */
    private function __construct(private Criteria $wanted, private array $all, private SiteContext $context)
    {
        $entries = $refs = $facts = [];
        foreach ($all as $entry) {
            $facts[] = $one = Facts::of($entry);
            $ref = $entry->id;
            for ($number = 2; isset($entries[$ref]); $number++) {
                $ref = "$entry->id\0$number";
            }
            $entries[$ref] = $entry;
            $refs[spl_object_id($one)] = $ref;
        }
        $this->entries = $entries;
        $this->refs = $refs;
        $this->sifting = Sifting::of($wanted, $facts, $context);
    }

    /** @param  list<Entry>  $entries */
    public static function of(Criteria $wanted, array $entries, SiteContext $context): self
    {
        return new self($wanted, $entries, $context);
    }

    public function context(): SiteContext
    {
        return $this->context;
    }

    public function tally(): Tally
    {
        return $this->sifting->tally;
    }

    public function selection(): Selection
    {
        return new Selection($this->refsOf($this->sifting->shown), $this->sifting->selection()->steps);
    }

    public function passing(int $most): array
    {
        return array_slice($this->refsOf($this->sifting->passing()), 0, $most);
    }

    public function languages(): array
    {
        $counts = [];
        foreach ($this->sifting->passing() as $entry) {
            $language = $entry->language === null ? '' : explode('-', $entry->language)[0];
            $counts[$language] = ($counts[$language] ?? 0) + 1;
        }
        unset($counts['']);
        ksort($counts);
        arsort($counts);

        return array_map(strval(...), array_keys($counts));
    }

    public function at(?string $language, int $visit): self
    {
        return new self($this->wanted, $this->all, $this->context->at($language, $this->context->page, $visit));
    }

    public function alongside(Criteria $wanted): self
    {
        return new self($wanted, $this->all, $this->context);
    }

    /**
     * @param  list<string>  $refs
     * @return list<Entry> in the order of the references
     */
    public function entries(array $refs): array
    {
        $entries = [];
        foreach ($refs as $ref) {
            if (isset($this->entries[$ref])) {
                $entries[] = $this->entries[$ref];
            }
        }

        return $entries;
    }

    /** @return list<Entry> in their order */
    public function shown(): array
    {
        return $this->entries($this->selection()->shown);
    }

    /**
     * @param  list<Facts>  $facts
     * @return list<string>
     */
    private function refsOf(array $facts): array
    {
        return array_map(fn (Facts $one): string => $this->refs[spl_object_id($one)] ?? '', $facts);
    }
}
