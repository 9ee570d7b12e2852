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
     * @param  list<Kind>|null  $kinds  null for all
     * @param  list<string>  $pins  entries shown first, in this order, whatever the rules say
     * @param  list<string>  $hidden  entries never shown in this widget, pinned or not
     */
    public function __construct(
        public ?array $sources,
        public ?array $kinds,
        public ?StarsWanted $stars,
        public bool $withWords,
        public Order $order,
        public int $limit,
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
                'kinds' => $this->kinds === null ? null : array_map(fn (Kind $kind): string => $kind->value, $this->kinds),
            ],
            'sift' => [
                'stars' => $this->stars === null ? null
                    : ['from' => $this->stars->from, 'to' => $this->stars->to, 'unrated' => $this->stars->keepUnrated ? 'keep' : 'drop'],
                'withWords' => $this->withWords,
                'order' => $this->order->value,
                'limit' => $this->limit,
                'pins' => $this->pins,
                'hidden' => $this->hidden,
            ],
            'shape' => $this->shape->toArray(),
            'dress' => ['name' => $this->dressing->value],
        ];
    }
}
