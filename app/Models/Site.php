<?php

declare(strict_types=1);

namespace App\Models;

use DateTimeZone;
use Gnomic\Text\HostName;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

/**
 * One website being looked after. Everything else belongs to one, and nobody sees another's.
 *
 * @property int $id
 * @property string $name
 * @property string $address
 * @property string $timezone
 * @property string|null $key  by which its script is found
 * @property string|null $website  its front page, whole
 * @property list<string>|null $allowed  hosts on which its widgets show; null: everywhere
 * @property bool $counts  whether views are counted
 * @property Carbon|null $pages_read_at
 * @property array<string, mixed>|null $pages_read  how reading its pages went
 * @property list<string>|null $languages  that its widgets speak to visitors, the usual one first
 * @property list<array{key: string, language: string|null, says: string}>|null $words  that visitors read instead of the usual ones
 * @property string|null $turned_on  the day at the site that its widgets have been turned to
 * @property list<string>|null $never  words that are never shown
 * @property array{starsBelow: float|null, words: list<string>, links: bool, newcomers: bool}|null $hold  which new entries wait for a
 *     decision
 */
final class Site extends Model
{
    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['languages' => 'array', 'words' => 'array', 'never' => 'array', 'hold' => 'array', 'allowed' => 'array',
            'counts' => 'boolean', 'pages_read_at' => 'datetime', 'pages_read' => 'array'];
    }

    protected static function booted(): void
    {
        self::creating(function (self $site): void {
            $site->key ??= Str::lower(Str::random(12));
        });
    }

    /** The address of its front page. */
    public function front(): string
    {
        return $this->website ?? (preg_match('~^https?://~i', $this->address) === 1 ? $this->address : "https://$this->address/");
    }

    /** @return list<string> hosts on which its widgets show: its own, and those that were named */
    public function hosts(): array
    {
        $parts = parse_url($this->front());
        $own = HostName::ascii($parts['host'] ?? '').(isset($parts['port']) ? ":{$parts['port']}" : '');

        return array_values(array_unique([$own, ...$this->allowed ?? []]));
    }

    /** @return list<string> */
    public function neverWords(): array
    {
        return $this->never ?? [];
    }

    /** @return non-empty-list<string> languages that its widgets speak, the usual one first */
    public function spoken(): array
    {
        $languages = array_values($this->languages ?? []);

        return $languages === [] ? ['en'] : $languages;
    }

    public function zone(): DateTimeZone
    {
        return new DateTimeZone($this->timezone);
    }

    /** @return HasMany<Source, $this> */
    public function sources(): HasMany
    {
        return $this->hasMany(Source::class);
    }

    /** @return HasMany<EntryRecord, $this> */
    public function entries(): HasMany
    {
        return $this->hasMany(EntryRecord::class);
    }

    /** @return HasMany<Widget, $this> those that were not removed */
    public function widgets(): HasMany
    {
        $widgets = $this->hasMany(Widget::class);
        $widgets->whereNull('removed_at')->whereNull('variant_of');

        return $widgets;
    }

    /** @return HasMany<Widget, $this> also those that were removed: their code may still stand on pages */
    public function allWidgets(): HasMany
    {
        return $this->hasMany(Widget::class);
    }

    /** @return HasMany<Credential, $this> */
    public function credentials(): HasMany
    {
        return $this->hasMany(Credential::class);
    }

    /** @return BelongsToMany<User, $this> */
    public function members(): BelongsToMany
    {
        return $this->belongsToMany(User::class, 'memberships');
    }

    /** @return HasMany<Subject, $this> */
    public function subjects(): HasMany
    {
        return $this->hasMany(Subject::class);
    }

    /** @return HasMany<Grant, $this> */
    public function grants(): HasMany
    {
        return $this->hasMany(Grant::class);
    }

    /** @return HasMany<Import, $this> */
    public function imports(): HasMany
    {
        return $this->hasMany(Import::class);
    }

    /** @return HasMany<SavedLook, $this> looks of its own */
    public function looks(): HasMany
    {
        return $this->hasMany(SavedLook::class);
    }

    /** @return HasMany<Ground, $this> pages of its website that were fetched */
    public function grounds(): HasMany
    {
        return $this->hasMany(Ground::class);
    }

    /** @return HasMany<Page, $this> */
    public function pages(): HasMany
    {
        return $this->hasMany(Page::class);
    }

    /** @return HasMany<SpotRecord, $this> those that were not removed */
    public function spots(): HasMany
    {
        $spots = $this->hasMany(SpotRecord::class);
        $spots->whereNull('removed_at')->orderBy('id');

        return $spots;
    }

    /** @return HasMany<View, $this> */
    public function views(): HasMany
    {
        return $this->hasMany(View::class);
    }

    /** @return HasMany<Picture, $this> */
    public function pictures(): HasMany
    {
        return $this->hasMany(Picture::class);
    }
}
