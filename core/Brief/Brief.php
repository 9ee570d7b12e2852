<?php

declare(strict_types=1);

namespace Gnomic\Brief;

use Gnomic\Entry\Kind;

/** The whole setting of one widget. Its JSON form is brief.schema.json; BriefReader makes it from there. */
final readonly class Brief
{
    public const VERSION = 1;

    /**
     * @param  list<string>|null  $sources  keys; null for all of the site's
     * @param  list<string>|null  $channels  null for all
     * @param  list<string>|null  $subjects  keys; null for all, and for entries about none
     * @param  list<Kind>|null  $kinds  null for all
     * @param  list<string>  $apartFrom  keys of widgets on the same page, whose entries are left out
     * @param  array<string, Allowed>  $allowed  by channel; everything where it is not named
     * @param  list<string>  $pins  entries shown first, in this order, whatever the rules say
     * @param  list<string>  $hidden  entries never shown in this widget, pinned or not
     */
    public function __construct(
        public ?array $sources,
        public ?array $channels,
        public ?array $subjects,
        public ?array $kinds,
        public array $apartFrom,
        public array $allowed,
        public ?StarsWanted $stars,
        public bool $withWords,
        public ?LengthWanted $length,
        public bool $withPictures,
        public bool $withReply,
        public ?LanguagesWanted $languages,
        public ?WhenWanted $when,
        public ?TermsWanted $words,
        public ?TermsWanted $hashtags,
        public ?LabelsWanted $labels,
        public ?MostWanted $most,
        public Order $order,
        public Shuffle $shuffle,
        public Weights $weights,
        public Limits $limits,
        public array $pins,
        public array $hidden,
        public ShapeWanted $shape,
        public Dressing $dressing,
    ) {
    }

    /** @return array<string, mixed> the JSON form, whole: every member written */
    public function toArray(): array
    {
        return [
            'version' => self::VERSION,
            'gather' => [
                'sources' => $this->sources,
                'channels' => $this->channels,
                'subjects' => $this->subjects,
                'kinds' => $this->kinds === null ? null : array_map(fn (Kind $kind): string => $kind->value, $this->kinds),
                'apartFrom' => $this->apartFrom,
                'allowed' => array_map(fn (string $channel, Allowed $allowed): array => ['channel' => $channel, 'show' => $allowed->value], array_keys($this->allowed), $this->allowed),
            ],
            'sift' => [
                'stars' => $this->stars?->toArray(),
                'withWords' => $this->withWords,
                'length' => $this->length?->toArray(),
                'withPictures' => $this->withPictures,
                'withReply' => $this->withReply,
                'languages' => $this->languages?->toArray(),
                'when' => $this->when?->toArray(),
                'words' => $this->words?->toArray(),
                'hashtags' => $this->hashtags?->toArray(),
                'labels' => $this->labels?->toArray(),
                'most' => $this->most?->toArray(),
                'order' => $this->order->value,
                'shuffle' => $this->shuffle->value,
                'balance' => $this->weights->toArray(),
                'limit' => $this->limits->most,
                'fewer' => $this->limits->fewer(),
                'pins' => $this->pins,
                'hidden' => $this->hidden,
            ],
            'shape' => $this->shape->toArray(),
            'dress' => ['name' => $this->dressing->value],
        ];
    }
}
