<?php

declare(strict_types=1);

namespace Gnomic\Sift;

use Gnomic\Text\Numbers;

/**
 * At most so many from one author, and then, of those left, at most so many from one source; always the first in the order.
 * Pins count, and are never left out. Entries that nobody is named for have no author in common,
 * and those of no source no source.
 */
final readonly class Caps
{
    /** @param  list<string>  $pins */
    public function __construct(private Most $most, private array $pins)
    {
    }

    public static function of(Criteria $wanted): self
    {
        return new self($wanted->most, $wanted->pins);
    }

    /** What the owner leaves out with a step; null for steps that are none of these. */
    public static function called(string $key): ?string
    {
        return match ($key) {
            self::key('author') => 'the most from one author',
            self::key('source') => 'the most from one source',
            default => null,
        };
    }

    public static function without(Criteria $wanted, string $key): Criteria
    {
        $left = array_diff_key($wanted->most->toArray(), [$key === self::key('author') ? 'author' : 'source' => true]);

        return $wanted->with('/sift/most', array_diff($left, [null]) === [] ? null : $left);
    }

    /** @return list<array{key: string, phrase: string, most: int}> the steps that there are */
    public function steps(): array
    {
        $steps = [];
        foreach (['author' => $this->most->author, 'source' => $this->most->source] as $of => $most) {
            if ($most !== null) {
                $steps[] = ['key' => self::key($of), 'phrase' => 'at most '.Numbers::spoken($most)." per $of", 'most' => $most];
            }
        }

        return $steps;
    }

    /**
     * @template T
     *
     * @param  iterable<T>  $ordered
     * @param  callable(T): array{string, string, string|null}  $of  identifier, source and author
     * @return array{kept: list<T>, out: array<string, list<T>>} out by the key of the step
     */
    public function apply(iterable $ordered, callable $of): array
    {
        $out = array_fill_keys(array_column($this->steps(), 'key'), []);
        $kept = [];
        $byAuthor = $bySource = [];
        $pins = array_flip($this->pins);
        foreach ($ordered as $entry) {
            [$id, $source, $author] = $of($entry);
            $isPinned = isset($pins[$id]) || isset($pins["$source:$id"]);
            if ($this->most->author !== null && $author !== null) {
                $byAuthor[$author] = ($byAuthor[$author] ?? 0) + 1;
                if ($byAuthor[$author] > $this->most->author && ! $isPinned) {
                    $out[self::key('author')][] = $entry;

                    continue;
                }
            }
            if ($this->most->source !== null && $source !== '') {
                $bySource[$source] = ($bySource[$source] ?? 0) + 1;
                if ($bySource[$source] > $this->most->source && ! $isPinned) {
                    $out[self::key('source')][] = $entry;

                    continue;
                }
            }
            $kept[] = $entry;
        }

        return ['kept' => $kept, 'out' => $out];
    }

    /** Why the step of this key leaves an entry out. */
    public function reason(string $key): string
    {
        $of = $key === self::key('author') ? 'author' : 'source';
        $most = $of === 'author' ? $this->most->author : $this->most->source;

        return 'Before it '.(
            $most === 1
                ? 'stands one'
                : 'stand '.Numbers::spoken((int) $most)
        )." of the same $of; the widget allows at most ".Numbers::spoken((int) $most).'.';
    }

    private static function key(string $of): string
    {
        return $of === 'author' ? 'mostOfAuthor' : 'mostOfSource';
    }
}
