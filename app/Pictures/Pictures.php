<?php

declare(strict_types=1);

namespace App\Pictures;

use App\Models\Picture;
use App\Models\PictureState;
use App\Models\Site;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Media;
use Gnomic\Shape\Card\StoredPicture;
use Illuminate\Support\Facades\DB;

/** The pictures of a site's entries: which are wanted, and which are kept. */
final readonly class Pictures
{
    public function __construct(private string $host)
    {
    }

    /** One picture more: of an account, say. */
    public function wantOne(Site $site, string $url): void
    {
        Picture::query()->firstOrCreate(['site_id' => $site->id, 'digest' => Picture::digestOf($url)], ['url' => $url]);
        FetchPictures::dispatch($site->id);
    }

    /**
     * A picture to stand behind a widget; it is fetched where it is not kept yet.
     *
     * @return array{address: string, extremes: array{string, string}}|null null where it is not there
     */
    public function behind(Site $site, string $url): ?array
    {
        $picture = $site->pictures()->where('digest', Picture::digestOf($url))->first();
        if (! $picture instanceof Picture) {
            $this->wantOne($site, $url);

            return null;
        }
        $widths = $picture->widths ?? [];

        return $picture->state !== PictureState::Kept || $widths === [] ? null : [
            'address' => "$this->host/w/p/$picture->name-".max($widths).'.webp',
            'extremes' => [$picture->extremes[0] ?? '#000000', $picture->extremes[1] ?? '#ffffff'],
        ];
    }

    /** Why a picture is not there, in words; null where it is, or is being fetched. */
    public function missing(Site $site, string $url): ?string
    {
        $picture = $site->pictures()->where('digest', Picture::digestOf($url))->where('state', PictureState::Lost)->first();

        return $picture instanceof Picture ? (string) $picture->reason : null;
    }

    /**
     * Notes the pictures of entries to be fetched in the background, each address once.
     *
     * @param  list<Entry>  $entries
     */
    public function want(Site $site, array $entries): void
    {
        $urls = [];
        foreach ($entries as $entry) {
            foreach (self::urlsOf($entry) as $url) {
                $urls[Picture::digestOf($url)] = $url;
            }
        }
        foreach (array_chunk($urls, 100, true) as $chunk) {
            DB::table('pictures')->insertOrIgnore(array_map(
                fn (string $url, string $digest): array => [
                    'site_id' => $site->id,
                    'url' => $url,
                    'digest' => $digest,
                    'created_at' => now(),
                    'updated_at' => now(),
                ],
                array_values($chunk),
                array_keys($chunk),
            ));
        }
        if ($urls !== []) {
            FetchPictures::dispatch($site->id);
        }
    }

    /**
     * @param  list<string>  $urls
     * @return array<string, StoredPicture> those that are kept, by the address at the source
     */
    public function at(Site $site, array $urls): array
    {
        $urls = array_values(array_unique($urls));
        $kept = [];
        $query = $site->pictures()->where('state', PictureState::Kept)->whereIn('digest', array_map(Picture::digestOf(...), $urls));
        foreach ($urls === [] ? [] : $query->get() as $picture) {
            $addresses = [];
            foreach ($picture->widths ?? [] as $width) {
                $addresses[$width] = "$this->host/w/p/$picture->name-$width.webp";
            }
            $kept[$picture->url] = new StoredPicture($addresses, (int) $picture->width, (int) $picture->height, $picture->colour);
        }

        return $kept;
    }

    /** @return list<string> */
    public static function urlsOf(Entry $entry): array
    {
        $pictures = array_filter($entry->media, fn (Media $media): bool => $media->type === 'image');
        $urls = array_map(fn (Media $media): string => $media->url, $pictures);

        return array_values(array_filter(
            [...$urls, (string) $entry->author->image],
            fn (string $url): bool => $url !== '' && strlen($url) <= 2000,
        ));
    }
}
