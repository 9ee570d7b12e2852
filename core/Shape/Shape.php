<?php

declare(strict_types=1);

namespace Gnomic\Shape;

use Gnomic\Json\MemberIsWrong;
use Gnomic\Json\Members;
use Gnomic\Memo;
use Gnomic\Shape\Lines\TypeScale;
use Gnomic\Shape\Parts\Metrics;
use Gnomic\Shape\Parts\Part;
use Gnomic\Shape\Parts\Parts;
use Gnomic\Text\Words;
use WeakMap;

/** A brief's part "shape": the layout, and what it shows. */
final readonly class Shape
{
    public Layout $layout;

    /** A name of Compositions; null: as the look has it. */
    public ?string $composition;

    /** @var class-string<Composition> */
    private string $composed;

    /** Of ShapeSchema::HEIGHTS: as high as their words, long ones cut near the median; or all equally high. */
    public string $heights;

    /** Characters after which words are shortened; null: never. */
    public ?int $shorten;

    /** Lines that words take, no more and in fixed layouts no fewer; null: as many as there are. */
    public ?int $lines;

    /** @var list<string> names of Parts, in their order */
    public array $card;

    /** @var list<class-string<Part>> of the first part of each block of a card that lacks nothing */
    private array $kinds;

    /** How people are named. */
    public Naming $names;

    /** Of ShapeSchema::RATINGS: glyphs and where they do not say it all the number, both always, one of them, or in words. */
    public string $rating;

    /** Of ShapeSchema::DATES. */
    public string $date;

    /** Of ShapeSchema::PICTURES. */
    public string $picture;

    /** @var list<string> of ShapeSchema::HEAD */
    public array $head;

    /** Of ShapeSchema::HEAD_AT; beside the cards where there is room. */
    public string $headAt;

    /** What the widget is called where it is not seen: in feeds, frames and for those who hear it; null: as its heading. */
    public ?string $title;

    /** A line above everything. */
    public ?string $heading;

    /** A line under the heading. */
    public ?string $line;

    /** @var list<Action> */
    public array $actions;

    public Click $click;

    /** Where a click leads that follows an address. */
    public ?string $address;

    /** @var array<string, string> likewise of single entries, by their identifiers */
    public array $addresses;

    public bool $newTab;

    /** Of links to sources, as https://html.spec.whatwg.org/multipage/links.html#linkTypes has them. */
    public string $rel;

    /** Of ShapeSchema::MORE; "none" where nothing can come into the layout. */
    public string $more;

    /** @var list<string> words that are marked wherever they stand */
    public array $marked;

    /** Nothing where the layout has no entries to choose among. */
    public Choosing $choosing;

    public Frame $frame;

    /** @var array<string, Other> by class of widths */
    private array $at;

    /** @var list<bool> whether entries are tiles of pictures, for each class of widths */
    private array $tiles;

    /** Whether words take so many lines and no more, at some widths: lines are counted where all are of one height. */
    private bool $countsLines;

    /** What visitors read where there is nothing to show; null: nothing at all is there. */
    public ?string $empty;

    /** Whether structured data is put into the page. */
    public bool $markup;

    /** Whether a selection says that it is one. */
    public bool $honest;

    /** @param  array<string, mixed>  $members  whole */
    private function __construct(private array $members)
    {
        $shape = Members::of($members, '/shape');
        $layout = $shape->object('layout');
        $this->layout = Layouts::named($layout->string('name'))::of($layout);
        $this->composition = $shape->stringOrNull('composition');
        $this->composed = Compositions::named($this->composition);
        $this->heights = $shape->string('heights');
        $this->shorten = $shape->intOrNull('shorten');
        $lines = $shape->intOrNull('lines') ?? $this->layout->usualLines();
        $this->lines = $lines === 0 ? null : $lines;
        $this->card = $shape->strings('card');
        $parts = array_values(array_filter(array_map(Parts::named(...), $this->card), is_string(...)));
        $this->kinds = array_map(fn (array $block): string => $block[0], Parts::blocks($parts));
        $this->names = Naming::from($shape->string('names'));
        $this->rating = $shape->string('rating');
        $this->date = $shape->string('date');
        $this->picture = $shape->string('picture');
        $this->head = $shape->strings('head');
        $this->headAt = $shape->string('headAt');
        $this->title = self::written($shape, 'title');
        $this->heading = self::written($shape, 'heading');
        $this->line = self::written($shape, 'line');
        $actions = [];
        foreach ($shape->list('actions') as $index => $action) {
            $actions[] = Action::read(Members::of($action, "/shape/actions/$index"));
        }
        $this->actions = $actions;
        $this->address = $shape->stringOrNull('address');
        $addresses = [];
        foreach ($shape->list('addresses') as $index => $one) {
            $one = Members::of($one, "/shape/addresses/$index");
            $addresses[$one->string('id')] = (string) $one->stringOrNull('url');
        }
        $this->addresses = array_filter($addresses, Words::isFilled(...));
        $this->newTab = $shape->boolOr('newTab', true);
        $this->rel = $shape->string('rel');
        $this->more = $this->layout::grows() ? $shape->string('more') : 'none';
        $this->marked = $shape->strings('marked');
        $this->choosing = $this->layout::grows() ? Choosing::read($shape->object('choosing')) : Choosing::nothing();
        $this->frame = Frame::read($shape->object('frame'), $this->layout->usualGap());
        $at = $shape->object('at');
        $this->at = ['phone' => Other::read($at->object('phone')), 'tablet' => Other::read($at->object('tablet'))];
        $this->tiles = array_map(
            fn (WidthClass $class): bool => $this->layoutAt($class)::isOfPictures(),
            WidthClass::cases(),
        );
        $this->countsLines = array_filter(array_map($this->linesAt(...), WidthClass::cases()), is_int(...)) !== [];
        $this->click = Click::tryFrom($shape->string('click')) ?? ($this->hasTiles() ? Click::Enlarge : Click::Nothing);
        $this->empty = self::written($shape, 'empty');
        $this->markup = $shape->boolOr('markup', false);
        $this->honest = $shape->boolOr('honest', true);
    }

    /** @throws MemberIsWrong naming the member and the remedy */
    public static function read(mixed $shape = []): self
    {
        $members = [];
        $read = ShapeSchema::get()->read($shape, '/shape');
        foreach (is_array($read) ? $read : [] as $name => $value) {
            $members[(string) $name] = $value;
        }

        return new self($members);
    }

    /** The layout at a class of widths. */
    public function layoutAt(WidthClass $class): Layout
    {
        return $this->layout::flows() ? ($this->other($class)->layout ?? $this->layout) : $this->layout;
    }

    /** Whether some width shows entries as tiles of pictures, which keep their words for the enlarged view. */
    public function hasTiles(): bool
    {
        return in_array(true, $this->tiles, true);
    }

    /** Whether every width does. */
    public function isAllTiles(): bool
    {
        return ! in_array(false, $this->tiles, true);
    }

    /** Lines that words are clamped to at a class of widths; null: all of them are shown. */
    public function linesAt(WidthClass $class): ?int
    {
        $other = $this->other($class);
        $lines = $other->lines ?? ($other?->layout === null ? $this->lines : $other->layout->usualLines());

        return $lines === 0 ? null : $lines;
    }

    /** Whether the brief says how many lines words take at a class of widths. */
    public function saysLines(WidthClass $class): bool
    {
        $other = $this->other($class);

        return $other?->lines !== null || ($other?->layout === null && $this->members['lines'] !== null);
    }

    /** @return list<string> parts that cards do not show at a class of widths, of those that they show elsewhere */
    public function withoutAt(WidthClass $class): array
    {
        $kept = $this->other($class)?->card;
        $without = $kept === null ? [] : array_values(array_diff($this->card, $kept));
        if ($this->layoutAt($class)::isOfPictures()) {
            return array_values(array_diff($without, ['pictures']));
        }

        // There for the tiles of other widths.
        return $this->hasTiles() && ! in_array('pictures', $this->card, true) ? [...$without, 'pictures'] : $without;
    }

    /** Whether the head stands beside the cards, wherever there is room for that. */
    public function headIsAside(): bool
    {
        return $this->layout::flows() && in_array($this->headAt, ['left', 'right'], true)
            && ($this->frame->most ?? Space::ASIDE_FROM) >= Space::ASIDE_FROM;
    }

    /** The room that cards have in a widget of a width in CSS pixels. */
    public function space(int $width): Space
    {
        return Space::at($width, $this->frame, $this->headIsAside());
    }

    /** Whether something in it leads to everything, beside the honest line. */
    public function leadsToEverything(): bool
    {
        return $this->more !== 'none' || $this->choosing->by === 'search' || $this->layout->leadsToEverything()
            || array_filter($this->actions, fn (Action $action): bool => $action->does === 'all') !== [];
    }

    /** @return class-string<Composition> */
    public function composition(): string
    {
        return $this->composed;
    }

    /** Whether the look says how much is kept free around everything. */
    public function leavesPadding(): bool
    {
        return is_array($this->members['frame']) && $this->members['frame']['padding'] === null;
    }

    /**
     * The same with what a look brings, where it does not say so itself.
     *
     * @param  string  $composition  of Compositions
     * @param  int|null  $gap  CSS pixels between cards; null: as the layout has it
     * @param  int  $padding  CSS pixels kept free on either side
     */
    public function worn(string $composition, ?int $gap, int $padding): self
    {
        /** @var WeakMap<self, Memo> $worn all variants of a widget ask for the same */
        static $worn = new WeakMap;

        return ($worn[$this] ??= new Memo)->of("$composition $gap $padding", function () use ($composition, $gap, $padding): self {
            $frame = is_array($this->members['frame']) ? $this->members['frame'] : [];

            return $this->with([
                'composition' => $this->composition ?? $this->layout->composed($composition),
                'frame' => ['gap' => $frame['gap'] ?? $gap, 'padding' => $frame['padding'] ?? $padding] + $frame,
            ]);
        });
    }

    /** Sizes of words on cards of a layout. @param  int  $columns  cards side by side */
    public function scale(Layout $layout, Space $space, int $columns): TypeScale
    {
        $composition = $this->composition();
        $width = $layout->cardWidth($space, $columns) / Metrics::EM;

        $scale = $composition::scale($layout)->on($composition::wordsWidth($width, $this->kinds));

        return $scale->leads && $this->countsLines ? $scale->withoutLead() : $scale;
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

    private function other(WidthClass $class): ?Other
    {
        $tablet = $this->at['tablet'];

        return match ($class) {
            WidthClass::Phone => $this->at['phone']->or($tablet),
            WidthClass::Tablet => $tablet,
            WidthClass::Desktop => null,
        };
    }

    private static function written(Members $shape, string $member): ?string
    {
        $text = trim((string) $shape->stringOrNull($member));

        return $text === '' ? null : $text;
    }
}
