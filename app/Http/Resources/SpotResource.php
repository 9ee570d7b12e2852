<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Site;
use App\Models\SpotRecord;
use App\Models\Widget;
use App\Placing\Codes;
use App\Placing\Forms;
use App\Placing\Spots;
use Gnomic\Json\Value;
use Gnomic\Place\Spot\Places;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @mixin SpotRecord */
final class SpotResource extends JsonResource
{
    public static $wrap = null;

    /**
     * @param  Widget  $form  that shows there
     * @param  list<string>  $decided  keys of spots whose widgets show in place of this one
     * @param  list<string>  $colliding  keys of all spots that it is in the way of, or they of it
     * @param  array<string, string>  $subjects  names by key
     */
    private function __construct(
        SpotRecord $record,
        private readonly Site $site,
        private readonly Widget $form,
        private readonly array $decided,
        private readonly array $colliding,
        private readonly array $subjects,
    ) {
        parent::__construct($record);
    }

    public static function one(Site $site, SpotRecord $record): self
    {
        return self::each($site, [$record])[0];
    }

    /**
     * @param  list<SpotRecord>  $records  of the site
     * @return list<self>
     */
    public static function each(Site $site, array $records): array
    {
        $forms = Forms::at($records);
        $subjects = Value::named($site->subjects()->pluck('name', 'key')->all());
        $decided = $colliding = [];
        foreach (app(Spots::class)->collisions($site) as [$deciding, $other]) {
            $decided[$other][] = $deciding;
            $colliding[$deciding][] = $other;
            $colliding[$other][] = $deciding;
        }

        return array_map(fn (SpotRecord $record): self => new self(
            $record,
            $site,
            $forms[$record->id],
            $decided[$record->key] ?? [],
            array_values(array_unique($colliding[$record->key] ?? [])),
            $subjects,
        ), $records);
    }

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $spot = $this->toCore();
        $codes = app(Codes::class);

        return [
            'key' => $this->key,
            'widget' => ['key' => $this->widget->key, 'name' => $this->widget->name],
            'spot' => ['overrides' => (object) $spot->overrides->toArray()] + $spot->toArray(),
            'phrase' => Places::phrase($spot),
            'overrides' => $spot->overrides->phrases($this->subjects),
            'form' => $this->form->key,
            'code' => $spot->selector === null ? $codes->tag($this->form) : $codes->site($this->site),
            'isDue' => $spot->isDue(now()->toDateTimeImmutable(), $this->site->zone()),
            'collides' => $this->colliding,
            'decides' => $this->decided === [],
        ];
    }
}
