<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Sift\Condition;
use Gnomic\Sift\Terms;
use Gnomic\Text\Tags;

/** Whether an entry has certain hashtags or labels: whole ones, or beginnings where a star ends them. */
final readonly class TagTest
{
    /** Tags that stand in one expression; a chain of more would be too deep for the database. */
    private const IN_LINE = 50;

    /** @param  string  $noun  hashtag or label */
    public function __construct(private string $noun, public Terms $terms)
    {
    }

    /** @return list<string> */
    public static function doubts(string $noun, Terms $terms): array
    {
        return Terms::doubts($noun, $terms->each(), fn (string $tag): bool => Tags::folded(rtrim($tag, '* ')) !== null);
    }

    /**
     * Why these are not the wanted ones; null where they are.
     *
     * @param  list<string>  $tags  folded
     */
    public function fault(array $tags): ?string
    {
        $line = Tags::line($tags);
        foreach ($this->terms->all as $tag) {
            if (! self::has($line, self::needles([$tag]), true)) {
                return "It lacks the $this->noun \"$tag\".";
            }
        }
        foreach ($this->terms->none as $tag) {
            if (self::has($line, self::needles([$tag]), false)) {
                return "It has the $this->noun \"$tag\", which is left out here.";
            }
        }

        return self::has($line, self::needles($this->terms->any), true)
            ? null
            : "It has none of the {$this->noun}s ".Terms::listed($this->terms->any, 'or').'.';
    }

    /** @param  string  $column  that holds them between bars: "|dome|night sky|", and an empty text where there are none */
    public function condition(string $column): Condition
    {
        $parts = [];
        $bindings = [];
        foreach ([
            [$this->terms->all, ' AND ', '> 0'],
            [$this->terms->any, ' OR ', '> 0'],
            [$this->terms->none, ' AND ', '= 0'],
        ] as [$tags, $glue, $test]) {
            $needles = self::needles($tags);
            if (count($needles) > self::IN_LINE) {
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
                $needles[] = '|'.Tags::inLine($folded).($isBeginning ? '' : '|');
            }
        }

        return $needles;
    }
}
