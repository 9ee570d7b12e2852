<?php

declare(strict_types=1);

namespace App\Models;

use Gnomic\Text\Words;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Str;

/**
 * What entries are about: a venue, a product, a service, a person, the whole organisation.
 *
 * @property int $id
 * @property int $site_id
 * @property string $key
 * @property string $name
 * @property string|null $reopened_on  a day
 * @property string|null $kind
 * @property list<string>|null $identities  what pages call it beside its name: an article number, an identifier
 */
final class Subject extends Model
{
    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['identities' => 'array'];
    }

    /** The site's subject of this name, made where there is none. */
    public static function named(Site $site, string $name, ?string $kind = null): self
    {
        $key = Words::filled(Str::limit(Str::slug($name), 60, '')) ?? 'subject-'.substr(hash('sha256', $name), 0, 8);

        return $site->subjects()->firstOrCreate(['key' => $key], ['name' => $name, 'kind' => $kind]);
    }

    /** @return HasMany<SubjectAddress, $this> */
    public function addresses(): HasMany
    {
        return $this->hasMany(SubjectAddress::class);
    }

    /** @return HasMany<Source, $this> */
    public function sources(): HasMany
    {
        return $this->hasMany(Source::class);
    }
}
