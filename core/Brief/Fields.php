<?php

declare(strict_types=1);

namespace Gnomic\Brief;

use BackedEnum;
use Gnomic\Json\MemberIsWrong;
use Gnomic\Json\Members;

/** How the members of a brief are read: what its schema says of them, said with a remedy. */
final class Fields
{
    /** @param  list<string>  $known */
    public static function only(Members $members, array $known): void
    {
        foreach ($members->names() as $name) {
            if (! in_array($name, $known, true)) {
                throw new BriefIsWrong($members->to($name), 'The brief breaks its schema: '.$members->to($name).' is not known. Known here: '.implode(', ', $known).'.');
            }
        }
    }

    public static function within(Members $members, string $name, int $least, int $most): ?int
    {
        $value = $members->intOrNull($name);

        return $value === null || ($value >= $least && $value <= $most) ? $value
            : throw MemberIsWrong::at($members->to($name), "between $least and $most", $value);
    }

    /**
     * @template T of BackedEnum
     *
     * @param  class-string<T>  $enum
     * @param  T  $default
     * @return T
     */
    public static function oneOf(string $enum, Members $members, string $name, BackedEnum $default): BackedEnum
    {
        $value = $members->stringOrNull($name);
        $words = array_map(fn (BackedEnum $case): string => "\"$case->value\"", $enum::cases());

        return $value === null ? $default : ($enum::tryFrom($value) ?? throw MemberIsWrong::at($members->to($name), 'one of '.implode(', ', $words), $value));
    }

    /**
     * @param  list<string>  $known
     * @return list<string>
     */
    public static function words(Members $members, string $name, array $known): array
    {
        $words = self::distinct($members, $name, $members->strings($name));
        foreach ($words as $index => $word) {
            if (! in_array($word, $known, true)) {
                throw MemberIsWrong::at($members->to($name)."/$index", 'one of '.implode(', ', $known), $word);
            }
        }

        return $words;
    }

    /** @return list<string> */
    public static function texts(Members $members, string $name, int $most, int $longest): array
    {
        $texts = $members->strings($name);
        if (count($texts) > $most) {
            throw MemberIsWrong::at($members->to($name), "at most $most long", $texts);
        }
        foreach ($texts as $index => $text) {
            if ($text === '' || mb_strlen($text) > $longest) {
                throw MemberIsWrong::at($members->to($name)."/$index", "1 to $longest characters long", $text);
            }
        }

        return $texts;
    }

    /** @return list<string>|null null where it is missing or null */
    public static function textsOrNull(Members $members, string $name, int $most, int $longest): ?array
    {
        return $members->has($name) ? self::texts($members, $name, $most, $longest) : null;
    }

    /**
     * @param  list<string>  $texts
     * @return list<string>
     */
    public static function distinct(Members $members, string $name, array $texts): array
    {
        return count(array_unique($texts)) === count($texts) ? $texts : throw MemberIsWrong::at($members->to($name), 'without repetitions', $texts);
    }
}
