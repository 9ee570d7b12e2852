<?php

declare(strict_types=1);

namespace Gnomic\Sift;

use DateTimeImmutable;
use Gnomic\Text\Numbers;

/** What a brief wants with one of its clauses loosened, little by little until the clause is gone. */
final readonly class Loosening
{
    /** @param  string  $phrase  what the owner is offered: "Three stars and up", "Leave out the languages" */
    private function __construct(public string $key, public string $phrase, public Criteria $wanted)
    {
    }

    /** Whether a step is the brief's own wish, and can be taken out of it. */
    public static function canLeaveOut(string $key): bool
    {
        return Caps::called($key) !== null || self::called($key) !== null;
    }

    /**
     * Looser and looser, the smallest change first, no clause at all last.
     *
     * @return list<self>
     */
    public static function of(Criteria $wanted, string $key): array
    {
        $clause = Clauses::withKey($key);
        $looser = $clause === null
            ? []
            : array_map(
                fn (Criteria $loosened): self => new self($key, self::phrase($clause, $loosened), $loosened),
                $clause::looser($wanted),
            );

        return self::canLeaveOut($key) ? [...$looser, self::without($wanted, [$key])] : $looser;
    }

    /** @param  list<string>  $keys  of steps that are taken out */
    public static function without(Criteria $wanted, array $keys): self
    {
        $names = [];
        foreach ($keys as $key) {
            $clause = Clauses::withKey($key);
            $wanted = $clause === null ? Caps::without($wanted, $key) : $clause::without($wanted);
            $names[] = self::called($key) ?? Caps::called($key) ?? $key;
        }

        return new self($keys[0] ?? '', 'Leave out '.Numbers::listed($names), $wanted);
    }

    private static function called(string $key): ?string
    {
        $clause = Clauses::withKey($key);

        return $clause === null ? null : $clause::called();
    }

    /** @param  class-string<Clause>  $clause */
    private static function phrase(string $clause, Criteria $loosened): string
    {
        return ucfirst($clause::of($loosened, new SiteContext(new DateTimeImmutable('@0')))?->phrase() ?? 'Leave out '.$clause::called());
    }
}
