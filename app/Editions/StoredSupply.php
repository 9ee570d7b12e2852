<?php

declare(strict_types=1);

namespace App\Editions;

use App\Entries\Sift\SiteSieve;
use App\Models\EntryRecord;
use App\Models\PictureState;
use App\Models\Site;
use App\Pictures\Pictures;
use App\Sources\Channels\AccountProfiles;
use App\Sources\Channels\Channels;
use Closure;
use Gnomic\Brief\Brief;
use Gnomic\Edition\Input\Account;
use Gnomic\Edition\Input\Chosen;
use Gnomic\Edition\Input\Further;
use Gnomic\Edition\Input\InputOrder;
use Gnomic\Edition\Input\SiteMaterial;
use Gnomic\Edition\Input\Supply;
use Gnomic\Edition\Input\VariantInput;
use Gnomic\Entry\Entry;
use Gnomic\Json\Value;
use Gnomic\Shape\Card\SourcePage;
use Gnomic\Shape\Parts\FacePart;
use Gnomic\Shape\Parts\PicturesPart;
use Gnomic\Sift\Clauses\FromSources;
use Gnomic\Sift\Criteria;
use Gnomic\Sift\Sifted;
use Gnomic\Sift\SiteContext;
use Gnomic\Text\Catalogue;
use Illuminate\Support\Facades\DB;

/** A site's entries, with all that stands around them. */
final readonly class StoredSupply implements Supply
{
    /** References that are asked for at once. */
    private const AT_ONCE = 5_000;

    /** @param  Closure(Criteria): SiteContext  $context */
    public function __construct(
        private Site $site,
        private Closure $context,
        private Channels $channels,
        private Pictures $pictures,
        private AccountProfiles $profiles,
        private Catalogues $catalogues,
        private SiteLooks $looks,
    ) {
    }

    public function sifted(Criteria $wanted): SiteSieve
    {
        return SiteSieve::of($this->site, $wanted, ($this->context)($wanted));
    }

    public function spoken(): array
    {
        return $this->site->spoken();
    }

    public function words(string $language): Catalogue
    {
        return $this->catalogues->of($language);
    }

    public function inputs(array $orders): array
    {
        $asked = array_map(fn (InputOrder $one): array => [...$one->refs, ...$one->further], $orders);
        $refs = array_values(array_unique(array_merge([], ...$asked)));
        $records = array_map(fn (EntryRecord $record): Entry => $record->toCore(), EntryRecord::ofRefs($this->site, $refs));
        $entries = [];
        foreach ($this->profiles->on($this->site, array_values($records)) as $entry) {
            $entries[$entry->id] = $entry;
        }
        $accounts = $this->profiles->accounts($this->site);
        $faces = array_values(array_filter(array_map(fn (Account $account): ?string => $account->picture, $accounts), is_string(...)));
        $pages = $this->channels->pages($this->site);
        $signs = array_values(array_filter(array_map(fn (SourcePage $page): ?string => $page->sign, $pages), is_string(...)));
        $always = [...$faces, ...$signs];
        $pictures = $this->pictures->at($this->site, [...self::addresses(array_values($entries)), ...$always]);
        $inputs = $looks = [];
        foreach ($orders as $one) {
            $shown = self::named($entries, $one->refs);
            $further = self::named($entries, $one->further);
            $sources = FromSources::named($one->brief->criteria);
            $dress = json_encode($one->brief->dress->toArray(), JSON_THROW_ON_ERROR);
            $inputs[] = new VariantInput(
                $one->brief,
                new Chosen(
                    $shown,
                    $one->sifted->tally()->overall(),
                    $one->sifted->tally()->counting(),
                    $one->choices,
                    $one->offered,
                    $further === [] ? null : new Further($further, $one->brief->criteria->limits->most),
                    $one->ways,
                    $one->way,
                    $one->pages,
                ),
                new SiteMaterial(
                    $one->sifted->context(),
                    $this->site->zone(),
                    $this->site->name,
                    $pages,
                    array_intersect_key($pictures, array_flip([...self::addresses([...$shown, ...$further]), ...$always])),
                    array_values($sources === null ? $accounts : array_intersect_key($accounts, array_flip($sources))),
                ),
                $this->catalogues->spoken($one->language, $one->brief->dress->words, $this->site->words ?? []),
                $looks[$dress] ??= $this->looks->dressed($this->site, $one->brief),
            );
        }

        return $inputs;
    }

    public function common(Brief $brief, Sifted $sifted, string $language): array
    {
        $showsPictures = array_intersect($brief->shape->card, [PicturesPart::name(), FacePart::name()]) !== [];
        $kept = $this->site->pictures()->where('state', PictureState::Kept);

        return [
            'brief' => $brief->toArray()['shape'],
            'head' => $brief->shape->head === [] ? null : get_object_vars($sifted->tally()->overall()),
            'zone' => $this->site->zone()->getName(),
            'words' => $this->catalogues->spoken($language, $brief->dress->words, $this->site->words ?? [])->digest(),
            'look' => $this->looks->dressed($this->site, $brief)->inputs(),
            'pages' => array_map(get_object_vars(...), $this->channels->pages($this->site)),
            'profiles' => $this->site->sources()->whereNotNull('profile')->pluck('profile', 'key')->all(),
            'pictures' => $showsPictures ? [$kept->count(), $kept->max('id')] : null,
        ];
    }

    public function digests(array $refs): array
    {
        $digests = [];
        foreach (array_chunk($refs, self::AT_ONCE) as $chunk) {
            $digests += DB::table('entries')->where('site_id', $this->site->id)->whereIn('ref', $chunk)->pluck('digest', 'ref')->all();
        }

        return Value::named($digests);
    }

    /**
     * @param  array<string, Entry>  $entries
     * @param  list<string>  $refs
     * @return list<Entry> those that there are, in the order of the references
     */
    private static function named(array $entries, array $refs): array
    {
        return array_values(array_filter(array_map(fn (string $ref): ?Entry => $entries[$ref] ?? null, $refs)));
    }

    /**
     * @param  list<Entry>  $entries
     * @return list<string>
     */
    private static function addresses(array $entries): array
    {
        return array_merge([], ...array_map(Pictures::urlsOf(...), $entries));
    }
}
