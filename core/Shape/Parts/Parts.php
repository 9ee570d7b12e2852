<?php

declare(strict_types=1);

namespace Gnomic\Shape\Parts;

/** All parts of cards, in the order in which the bench offers them. A new one stands here and nowhere else. */
final class Parts
{
    /** @var list<class-string<Part>> */
    public const ALL = [
        RatingPart::class, TitlePart::class, WordsPart::class, TranslationPart::class, ReplyPart::class, PicturesPart::class,
        FacePart::class, NamePart::class, RolePart::class, PlacePart::class, VerifiedPart::class, DatePart::class, SourcePart::class,
        SubjectPart::class, LabelsPart::class, LikesPart::class, CommentsPart::class,
    ];

    /** @return list<string> */
    public static function names(): array
    {
        return array_map(fn (string $part): string => $part::name(), self::ALL);
    }

    /** @return list<string> what a card shows where the brief does not say */
    public static function usual(): array
    {
        return self::namesOf(fn (string $part): bool => $part::isUsual());
    }

    /** @return list<string> what a page of everything may show */
    public static function onEverything(): array
    {
        return self::namesOf(fn (string $part): bool => $part::isOnEverything());
    }

    /** @return class-string<Part>|null */
    public static function named(string $name): ?string
    {
        /** @var array<string, class-string<Part>>|null $named */
        static $named = null;
        $named ??= array_combine(self::names(), self::ALL);

        return $named[$name] ?? null;
    }

    /** Where a part stands among all. */
    public static function placeOf(Part $part): int
    {
        /** @var array<class-string<Part>, int>|null $places */
        static $places = null;
        $places ??= array_flip(self::ALL);

        return $places[$part::class] ?? count($places);
    }

    /**
     * The parts in their order, those that belong together in one: what stands together of a byline is one.
     *
     * @template T of Part|class-string<Part>
     *
     * @param  list<T>  $parts
     * @return list<non-empty-list<T>> in their order
     */
    public static function blocks(array $parts): array
    {
        $blocks = [];
        $isOpen = false;
        foreach ($parts as $part) {
            $isOfByline = $part::row() !== null;
            if ($isOfByline && $isOpen) {
                $blocks[count($blocks) - 1][] = $part;
            } else {
                $blocks[] = [$part];
            }
            $isOpen = $isOfByline;
        }

        return array_values($blocks);
    }

    /**
     * @param  callable(class-string<Part>): bool  $is
     * @return list<string>
     */
    private static function namesOf(callable $is): array
    {
        return array_map(fn (string $part): string => $part::name(), array_values(array_filter(self::ALL, $is)));
    }
}
