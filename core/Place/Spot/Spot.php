<?php

declare(strict_types=1);

namespace Gnomic\Place\Spot;

use DateTimeImmutable;
use DateTimeZone;
use Gnomic\Json\MemberIsWrong;
use Gnomic\Json\Members;
use Gnomic\Json\Schema\BooleanSchema;
use Gnomic\Json\Schema\ChoiceSchema;
use Gnomic\Json\Schema\ListSchema;
use Gnomic\Json\Schema\ObjectSchema;
use Gnomic\Json\Schema\TextSchema;
use Gnomic\Place\Pattern\PathPattern;
use Gnomic\Place\Pattern\PatternIsWrong;

/** A place on one page or many where a widget shows, and what of its brief is other there. Its JSON form is in docs/formats.md. */
final readonly class Spot
{
    private const DAY = '^\\d{4}-\\d{2}-\\d{2}$';

    /**
     * @param  non-empty-list<PathPattern>  $pages
     * @param  list<PathPattern>  $except
     * @param  string|null  $selector  CSS; null where its own tag stands
     * @param  string|null  $named  what the selector finds, as the owner would say: "Opening hours"
     * @param  string|null  $from  the first day
     * @param  string|null  $to  the last day
     * @param  bool  $elseUsual  whether pages that name no subject known here show the widget as it usually is
     */
    private function __construct(
        public array $pages,
        public array $except,
        public Position $position,
        public ?string $selector,
        public ?string $named,
        public Overrides $overrides,
        public ?Follows $follows,
        public bool $elseUsual,
        public ?string $from,
        public ?string $to,
    ) {
    }

    public static function schema(): ObjectSchema
    {
        $pattern = TextSchema::of(1, PathPattern::LONGEST);

        return ObjectSchema::of([
            'pages' => ListSchema::of($pattern, 50, about: 'Paths, or patterns of paths (URL Pattern Standard): "/visit", "/shop/*".'),
            'except' => ListSchema::of($pattern, 50, about: 'Paths and patterns that are left out.'),
            'position' => ChoiceSchema::among(['tag', 'before', 'after', 'inside'], 'tag', 'Where its tag stands, or by the selector.'),
            'selector' => TextSchema::orNull(500, 'CSS selector of what it stands at.'),
            'named' => TextSchema::orNull(120, 'What the selector finds, as people say.'),
            'overrides' => Overrides::schema(),
            'follows' => ChoiceSchema::orNull(
                ['schema' => 'its data', 'path' => 'its path', 'data' => 'an attribute'],
                'By what the page says which subject it is about; null: it is not asked.',
            ),
            'elseUsual' => new BooleanSchema(false, 'Whether pages about no subject that is known show the widget all the same.'),
            'from' => TextSchema::matchingOrNull(self::DAY, 'a day such as "2026-12-01"', 10, 'The first day; null: always.'),
            'to' => TextSchema::matchingOrNull(self::DAY, 'a day such as "2026-12-31"', 10, 'The last day; null: for ever.'),
        ], ['pages'], 'A spot.');
    }

    /**
     * @throws MemberIsWrong naming the member and the remedy
     * @throws PatternIsWrong
     */
    public static function read(mixed $given): self
    {
        $members = Members::of(self::schema()->read($given, ''));
        $pages = array_map(self::pattern(...), $members->strings('pages'));
        $position = Position::from($members->string('position'));
        $selector = self::trimmed($members->stringOrNull('selector'));
        if ($pages === []) {
            throw MemberIsWrong::missing('/pages', 'at least one path, such as "/visit"');
        }
        if (($position === Position::Tag) !== ($selector === null)) {
            throw MemberIsWrong::at('/selector', $position === Position::Tag
                ? 'nothing where the tag decides the place' : 'a CSS selector, or choose the place', $selector);
        }
        [$from, $to] = [self::day($members, 'from'), self::day($members, 'to')];
        if ($from !== null && $to !== null && $from > $to) {
            throw MemberIsWrong::at('/to', "a day not before $from", $to);
        }

        return new self(
            $pages,
            array_map(self::pattern(...), $members->strings('except')),
            $position,
            $selector,
            self::trimmed($members->stringOrNull('named')),
            Overrides::of($members->object('overrides')),
            Follows::tryFrom((string) $members->stringOrNull('follows')),
            $members->boolOr('elseUsual', false),
            $from,
            $to,
        );
    }

    public function isOn(string $path): bool
    {
        return $this->patternFor($path) !== null;
    }

    /** The most particular of its patterns that a page fits; null for a page that it is not on. */
    public function patternFor(string $path): ?PathPattern
    {
        foreach ($this->except as $pattern) {
            if ($pattern->matches($path)) {
                return null;
            }
        }
        $best = null;
        foreach ($this->pages as $pattern) {
            if ($pattern->matches($path) && ($best === null || $pattern->compared($best) > 0)) {
                $best = $pattern;
            }
        }

        return $best;
    }

    public function isDue(DateTimeImmutable $now, DateTimeZone $zone): bool
    {
        $today = $now->setTimezone($zone)->format('Y-m-d');

        return ($this->from === null || $this->from <= $today) && ($this->to === null || $today <= $this->to);
    }

    /** @return array{int|null, int|null} seconds since 1970 at which it begins, and at which it is over */
    public function span(DateTimeZone $zone): array
    {
        $at = fn (?string $day, int $after): ?int => $day === null ? null
            : (new DateTimeImmutable($day, $zone))->modify("+$after day")->getTimestamp();

        return [$at($this->from, 0), $at($this->to, 1)];
    }

    /** What is in the way of two: the same widget's tag, or the same side of the same thing. */
    public function place(string $widget): string
    {
        return $this->position === Position::Tag ? "tag $widget" : "{$this->position->value} $this->selector";
    }

    /** Whether it needs a form of the widget that is other than the usual. */
    public function isOther(): bool
    {
        return $this->follows !== null || ! $this->overrides->isEmpty();
    }

    /** @return array<string, mixed> the JSON form, whole */
    public function toArray(): array
    {
        $written = fn (PathPattern $pattern): string => $pattern->pattern;

        return [
            'pages' => array_map($written, $this->pages),
            'except' => array_map($written, $this->except),
            'position' => $this->position->value,
            'selector' => $this->selector,
            'named' => $this->named,
            'overrides' => $this->overrides->toArray(),
            'follows' => $this->follows?->value,
            'elseUsual' => $this->elseUsual,
            'from' => $this->from,
            'to' => $this->to,
        ];
    }

    private static function trimmed(?string $text): ?string
    {
        $text = trim((string) $text);

        return $text === '' ? null : $text;
    }

    /** Whole addresses are taken for their path: people copy them from the bar of the browser. */
    private static function pattern(string $written): PathPattern
    {
        $written = trim($written);
        $path = (string) preg_replace('~^https?://[^/?#]+~i', '', $written);
        $path = $path === $written ? $written : (string) preg_replace('~[?#].*$~', '', $path);
        if ($path === '') {
            $path = '/';
        }

        return str_starts_with($path, '/') || preg_match('/^[*:({]/', $path) === 1
            ? PathPattern::of($path)
            : throw PatternIsWrong::at($written, 0, 'a path begins with a slash, as in "/shop/*".');
    }

    private static function day(Members $members, string $name): ?string
    {
        $day = $members->stringOrNull($name);
        if ($day !== null && ! checkdate((int) substr($day, 5, 2), (int) substr($day, 8, 2), (int) substr($day, 0, 4))) {
            throw MemberIsWrong::at("/$name", 'a day of the calendar such as "2026-12-01"', $day);
        }

        return $day;
    }
}
