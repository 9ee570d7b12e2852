<?php

declare(strict_types=1);

namespace Gnomic\Shape;

use Gnomic\Json\MemberIsWrong;
use Gnomic\Json\Members;
use Gnomic\Json\Schema\BooleanSchema;
use Gnomic\Json\Schema\ChoiceSchema;
use Gnomic\Json\Schema\ListSchema;
use Gnomic\Json\Schema\NumberSchema;
use Gnomic\Json\Schema\ObjectSchema;
use Gnomic\Json\Schema\TextSchema;

/** A brief's part "shape": the layout, and what it shows. */
final readonly class Shape
{
    /** What a card can show. */
    public const CARD = ['rating', 'title', 'words', 'name', 'date', 'source', 'reply', 'face', 'pictures'];

    /** What the head of a widget can show. */
    public const HEAD = ['overall', 'count', 'spread'];

    public Layout $layout;

    /** Characters after which words are shortened; null: never. */
    public ?int $shorten;

    /** @var list<string> of CARD */
    public array $card;

    /** How people are named. */
    public Naming $names;

    /** @var list<string> of HEAD */
    public array $head;

    /** A line above everything. */
    public ?string $heading;

    /** Whether a selection says that it is one. */
    public bool $honest;

    /** @param  array<string, mixed>  $members  whole */
    private function __construct(private array $members)
    {
        $shape = Members::of($members, '/shape');
        $layout = $shape->object('layout');
        $this->layout = Layouts::named($layout->string('name'))::of($layout);
        $this->shorten = $shape->intOrNull('shorten');
        $this->card = $shape->strings('card');
        $this->names = Naming::from($shape->string('names'));
        $this->head = $shape->strings('head');
        $heading = trim((string) $shape->stringOrNull('heading'));
        $this->heading = $heading === '' ? null : $heading;
        $this->honest = $shape->boolOr('honest', true);
    }

    public static function schema(): ObjectSchema
    {
        /** @var ObjectSchema|null $schema */
        static $schema = null;

        return $schema ??= ObjectSchema::of([
            'layout' => Layouts::schema(),
            'shorten' => NumberSchema::wholeOrNull(40, 2000, 220, 'Characters after which words are shortened; null: never.'),
            'card' => ListSchema::of(
                ChoiceSchema::among(self::CARD),
                distinct: true,
                default: ['rating', 'title', 'words', 'name', 'date', 'source'],
            ),
            'names' => ChoiceSchema::case(Naming::Full, 'How people are named: as given, first name and initial, or initials.'),
            'head' => ListSchema::of(ChoiceSchema::among(self::HEAD), distinct: true, default: self::HEAD),
            'heading' => TextSchema::orNull(120),
            'honest' => new BooleanSchema(true, 'Whether a selection says in a line that it is one.'),
        ], about: 'The layout and what it shows.');
    }

    /** @throws MemberIsWrong naming the member and the remedy */
    public static function read(mixed $shape = []): self
    {
        $members = [];
        $read = self::schema()->read($shape, '/shape');
        foreach (is_array($read) ? $read : [] as $name => $value) {
            $members[(string) $name] = $value;
        }

        return new self($members);
    }

    /**
     * The same with some members changed.
     *
     * @param  array<string, mixed>  $members
     *
     * @throws MemberIsWrong where a member cannot be so
     */
    public function with(array $members): self
    {
        return self::read($members + $this->members);
    }

    /** @return array<string, mixed> the JSON form, whole: every member written */
    public function toArray(): array
    {
        return $this->members;
    }
}
