<?php

declare(strict_types=1);

namespace Gnomic\Place\Spot;

use Gnomic\Brief\Brief;
use Gnomic\Dress\Dress;
use Gnomic\Json\MemberIsWrong;
use Gnomic\Json\Members;
use Gnomic\Json\Schema\ChoiceSchema;
use Gnomic\Json\Schema\ListSchema;
use Gnomic\Json\Schema\NumberSchema;
use Gnomic\Json\Schema\ObjectSchema;
use Gnomic\Json\Schema\TextSchema;
use Gnomic\Shape\Layouts;
use Gnomic\Shape\Shape;
use Gnomic\Text\LanguageTag;
use Gnomic\Text\Numbers;

/** What of a widget's brief is other on one spot. */
final readonly class Overrides
{
    /**
     * @param  string|null  $subject  key of the one that entries are about
     * @param  list<string>  $labels  of which entries have any
     * @param  string|null  $language  of the entries, and of the words around them
     * @param  int|null  $most  entries
     * @param  string|null  $look  key
     * @param  string|null  $layout  name
     */
    private function __construct(
        public ?string $subject,
        public array $labels,
        public ?string $language,
        public ?int $most,
        public ?string $look,
        public ?string $layout,
    ) {
    }

    public static function none(): self
    {
        return new self(null, [], null, null, null, null);
    }

    public static function schema(): ObjectSchema
    {
        return ObjectSchema::of([
            'subject' => TextSchema::orNull(200, 'Key of the subject that entries are about.'),
            'labels' => ListSchema::of(TextSchema::of(1, 100), 20, about: 'Labels of which entries have any.'),
            'language' => TextSchema::matchingOrNull(
                '^[a-z]{2,3}(-[A-Za-z]{2,4})?$',
                'a language such as "de" or "pt-BR"',
                8,
                'Of the entries and the words around them.',
            ),
            'most' => NumberSchema::whole(1, 100, about: 'Entries; null: as many as the widget.', nullable: true),
            'look' => TextSchema::matchingOrNull('^[a-z0-9]+(-[a-z0-9]+)*$', 'the key of a look such as "paper"', 40, 'Key of a look.'),
            'layout' => ChoiceSchema::orNull(
                array_combine(self::layouts(), self::layouts()),
                'Another layout, with its usual settings.',
            ),
        ], about: 'What of the brief is other here.');
    }

    /** @throws MemberIsWrong naming the member and the remedy */
    public static function read(mixed $given, string $path = ''): self
    {
        return self::of(Members::of(self::schema()->read($given, $path), $path));
    }

    /** @param  Members  $members  whole */
    public static function of(Members $members): self
    {
        return new self(
            $members->stringOrNull('subject'),
            $members->strings('labels'),
            $members->stringOrNull('language'),
            $members->countOrNull('most'),
            $members->stringOrNull('look'),
            $members->stringOrNull('layout'),
        );
    }

    public function about(string $subject): self
    {
        return new self($subject, $this->labels, $this->language, $this->most, $this->look, $this->layout);
    }

    public function isEmpty(): bool
    {
        return $this->toArray() === self::none()->toArray();
    }

    /** The brief as it is here. */
    public function on(Brief $brief): Brief
    {
        $criteria = $brief->criteria;
        if ($this->subject !== null) {
            $criteria = $criteria->with('/gather/subjects', [$this->subject]);
        }
        if ($this->labels !== []) {
            $criteria = $criteria->with('/sift/labels', ['any' => $this->labels]);
        }
        if ($this->language !== null) {
            $criteria = $criteria->with('/sift/languages', ['only' => [$this->language]]);
        }
        if ($this->most !== null) {
            $criteria = $criteria->with('/sift/limit', $this->most);
        }

        return $brief->with(
            $criteria,
            $this->shaped($brief),
            // Another look is another look, not the same colours under its name.
            $this->look === null ? null : Dress::read(
                ['name' => $this->look, 'light' => [], 'dark' => [], 'tokens' => [], 'scheme' => null] + $brief->dress->toArray(),
            ),
        );
    }

    /** What is a part of the entries already has no choices made ahead: there would be as many files as parts times choices. */
    private function shaped(Brief $brief): ?Shape
    {
        $shape = $this->layout === null ? null : $this->laidOut($brief);

        return $this->isEmpty() || ! $brief->shape->choosing->isAhead() ? $shape
            : ($shape ?? $brief->shape)->with(['choosing' => ['by' => 'none', 'labels' => []]]);
    }

    /** What is other on phones goes by the layout, and with it. */
    private function laidOut(Brief $brief): Shape
    {
        return $brief->shape->layout::name() === $this->layout ? $brief->shape
            : Shape::read(['layout' => ['name' => $this->layout], 'at' => []] + $brief->shape->toArray());
    }

    /**
     * What is other here, in words: "about the Dome", "three entries".
     *
     * @param  array<string, string>  $subjects  names by key
     * @param  array<string, string>  $looks  names by key
     * @return list<string>
     */
    public function phrases(array $subjects = [], array $looks = []): array
    {
        return array_values(array_filter([
            $this->subject === null ? null : 'about '.($subjects[$this->subject] ?? $this->subject),
            $this->labels === [] ? null : 'labelled '.implode(' or ', $this->labels),
            $this->language === null ? null : 'in '.LanguageTag::named($this->language),
            match ($this->most) {
                null => null,
                1 => 'one entry',
                default => Numbers::spoken($this->most).' entries',
            },
            $this->layout === null ? null : Layouts::named($this->layout)::label(),
            $this->look === null ? null : 'in '.($looks[$this->look] ?? $this->look),
        ], is_string(...)));
    }

    /** @return array<string, mixed> the JSON form, whole */
    public function toArray(): array
    {
        return ['subject' => $this->subject, 'labels' => $this->labels, 'language' => $this->language, 'most' => $this->most,
            'look' => $this->look, 'layout' => $this->layout];
    }

    /** @return list<string> */
    private static function layouts(): array
    {
        return array_map(fn (string $layout): string => $layout::name(), Layouts::ALL);
    }
}
