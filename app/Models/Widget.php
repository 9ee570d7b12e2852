<?php

declare(strict_types=1);

namespace App\Models;

use Gnomic\Brief\Brief;
use Gnomic\Brief\BriefReader;
use Gnomic\Json\Value;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * A name, a brief and its editions. The brief here is the one on the bench; what is out is the edition's.
 *
 * @property int $id
 * @property int $site_id
 * @property string $key
 * @property string $name
 * @property array<string, mixed> $brief
 * @property int|null $edition_id
 * @property Edition|null $edition
 * @property int|null $variant_of  the widget that it is a form of
 * @property string|null $variant  which form of it
 * @property array<string, mixed>|null $overrides  what of that widget's brief is other here, as Overrides::toArray()
 * @property Carbon|null $removed_at
 * @property bool $stays  on the pages that have its code, though it was removed
 * @property Site $site
 * @property Carbon $updated_at
 */
final class Widget extends Model
{
    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['brief' => 'array', 'overrides' => 'array', 'removed_at' => 'datetime', 'stays' => 'boolean'];
    }

    /** Whether it shows nothing any more, wherever its code stands. */
    public function isEmptied(): bool
    {
        return $this->removed_at !== null && ! $this->stays;
    }

    public function draft(): Brief
    {
        return BriefReader::read($this->brief);
    }

    /** What it is called where visitors can read it: never as the owner calls it on the bench. */
    public function titleIn(Brief $brief): string
    {
        return $brief->shape->title ?? $brief->shape->heading ?? $this->site->name;
    }

    /** As the edition is called that is out. */
    public function title(): string
    {
        return $this->titleIn($this->edition === null ? $this->draft() : BriefReader::read($this->edition->brief));
    }

    /** @return non-empty-list<string> languages that it speaks, the usual one first */
    public function spoken(Site $site): array
    {
        $language = $this->overrides['language'] ?? null;

        return is_string($language) ? array_values(array_unique([$language, ...$site->spoken()])) : $site->spoken();
    }

    /**
     * @param  list<string>  $keys
     * @return list<string> those of them that are a site's
     */
    public static function keysOf(Site $site, array $keys): array
    {
        $query = self::query();
        $query->where('site_id', $site->id)->whereIn('key', $keys);

        return Value::texts($query->pluck('key')->all());
    }

    /** @return HasMany<Widget, $this> made for its spots */
    public function forms(): HasMany
    {
        return $this->hasMany(self::class, 'variant_of');
    }

    /** @return array<string, self> forms of it made for its spots, by variant; also those that were removed */
    public function formsByVariant(): array
    {
        $query = self::query();
        $query->where('variant_of', $this->id)->whereNotNull('overrides')->orderBy('id');
        $forms = [];
        /** @var self $form */
        foreach ($query->with('edition')->get() as $form) {
            $forms[(string) $form->variant] = $form;
        }

        return $forms;
    }

    /** @return list<SpotRecord> those that were not removed, the earliest first */
    public function spotRecords(): array
    {
        return SpotRecord::ofQuery(fn ($query) => $query->where('widget_id', $this->id)->whereNull('removed_at'));
    }

    /** @return HasMany<SpotRecord, $this> those that were not removed */
    public function spots(): HasMany
    {
        $spots = $this->hasMany(SpotRecord::class);
        $spots->whereNull('removed_at')->orderBy('id');

        return $spots;
    }

    /** @return BelongsTo<Site, $this> */
    public function site(): BelongsTo
    {
        return $this->belongsTo(Site::class);
    }

    /** @return BelongsTo<Edition, $this> */
    public function edition(): BelongsTo
    {
        return $this->belongsTo(Edition::class);
    }

    /** @return HasMany<Edition, $this> */
    public function editions(): HasMany
    {
        return $this->hasMany(Edition::class);
    }
}
