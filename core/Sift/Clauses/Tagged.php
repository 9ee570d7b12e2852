<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Brief\TermsWanted;
use Gnomic\Gather\Text\Tags;
use Gnomic\Sift\Clause;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Facts;

/** Entries with certain hashtags, or with certain labels: whole ones, or beginnings where a star ends them. */
final readonly class Tagged implements Clause
{
    private const IN_LINE = 50;

    /** @param  'hashtags'|'labels'  $kind */
    public function __construct(private string $kind, private TermsWanted $wanted)
    {
    }

    public function key(): string
    {
        return $this->kind;
    }

    public function phrase(): string
    {
        [$with, $without] = $this->kind === 'labels' ? ['labelled ', 'not labelled '] : ['tagged ', 'not tagged '];

        return TermsSpoken::of($this->wanted, $with, $without);
    }

    public function keeps(Facts $entry): bool
    {
        return $this->fault($entry) === null;
    }

    public function reason(Facts $entry): string
    {
        return (string) $this->fault($entry);
    }

    /** The columns hold them between bars: "|dome|night sky|", and an empty text where there are none. */
    public function condition(): Condition
    {
        $column = $this->kind === 'labels' ? 'labels' : 'tags';
        $parts = [];
        $bindings = [];
        foreach ([[$this->wanted->all, ' AND ', '> 0'], [$this->wanted->any, ' OR ', '> 0'], [$this->wanted->none, ' AND ', '= 0']] as [$tags, $glue, $test]) {
            $needles = self::needles($tags);
            if (count($needles) > self::IN_LINE) {
                // A chain of so many would be too deep for the database.
                [$exists, $inner] = $glue === ' OR ' ? ['EXISTS', $test] : ['NOT EXISTS', $test === '> 0' ? '= 0' : '> 0'];
                $parts[] = "$exists (SELECT 1 FROM json_each(?) WHERE INSTR($column, json_each.value) $inner)";
                $bindings[] = json_encode($needles, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE);
            } elseif ($needles !== []) {
                $parts[] = '('.implode($glue, array_fill(0, count($needles), "INSTR($column, ?) $test")).')';
                array_push($bindings, ...$needles);
            }
        }

        return new Condition($parts === [] ? '(1)' : '('.implode(' AND ', $parts).')', $bindings);
    }

    private function fault(Facts $entry): ?string
    {
        $tags = $this->kind === 'labels' ? $entry->labels : $entry->tags;
        $line = $tags === [] ? '' : '|'.implode('|', $tags).'|';
        $noun = rtrim($this->kind, 's');
        foreach ($this->wanted->all as $tag) {
            if (! self::has($line, self::needles([$tag]), true)) {
                return "It lacks the $noun \"$tag\".";
            }
        }
        foreach ($this->wanted->none as $tag) {
            if (self::has($line, self::needles([$tag]), false)) {
                return "It has the $noun \"$tag\", which the brief leaves out.";
            }
        }

        return self::has($line, self::needles($this->wanted->any), true) ? null : "It has none of the $this->kind ".TermsSpoken::listed($this->wanted->any, 'or').'.';
    }

    /** @param  list<string>  $needles */
    private static function has(string $line, array $needles, bool $ifNone): bool
    {
        foreach ($needles as $needle) {
            if (str_contains($line, $needle)) {
                return true;
            }
        }

        return $needles === [] && $ifNone;
    }

    /**
     * @param  array<string>  $tags
     * @return list<string>
     */
    private static function needles(array $tags): array
    {
        $needles = [];
        foreach ($tags as $tag) {
            $isBeginning = str_ends_with(rtrim($tag), '*');
            $folded = Tags::folded($isBeginning ? substr(rtrim($tag), 0, -1) : $tag);
            if ($folded !== null) {
                $needles[] = $isBeginning ? "|$folded" : "|$folded|";
            }
        }

        return $needles;
    }
}
