<?php

declare(strict_types=1);

namespace App\Sources\Channels\Shutterfen;

use App\Fetching\FetchFailed;
use App\Models\Grant;
use App\Models\Source;
use App\Sources\Access\Granted;
use App\Sources\Channels\CacheValidators;
use App\Sources\Channels\Channel;
use App\Sources\Channels\Gathered;
use App\Sources\Channels\PublicAddress;
use Closure;
use Gnomic\Entry\Kind;
use Gnomic\Gather\Matching\Coverage;
use Gnomic\Gather\Reading;
use Gnomic\Gather\Records\Record;
use Gnomic\Gather\Records\ShutterfenPhotos;
use Gnomic\Text\Pieces;

/**
 * Shutterfen, a photo account: "photos" are its own posts, "mentions" those of others that mention it, and "#word #word"
 * public posts with any of these hashtags. Each is a source of its own.
 */
final readonly class ShutterfenChannel implements Channel
{
    private const MOST_PAGES = 40;

    public function __construct(private Granted $granted, private string $address)
    {
    }

    public function name(): string
    {
        return 'Shutterfen';
    }

    public function brings(): string
    {
        return 'posts with pictures, hashtags, likes and comments';
    }

    public function kind(): Kind
    {
        return Kind::Post;
    }

    public function saidAt(Source $source): string
    {
        return $this->name();
    }

    public function pageOf(Source $source): ?string
    {
        return $source->home;
    }

    public function takesReviews(): bool
    {
        return false;
    }

    public function recognised(string $address): ?string
    {
        return PublicAddress::identifier($this->address, '/@([\w.]+)', $address);
    }

    public function isAsked(): bool
    {
        return true;
    }

    /**
     * @return list<array{id: string, name: string, detail: string}>
     *
     * @throws FetchFailed
     */
    public function choices(Grant $grant): array
    {
        $name = (string) $this->profile($grant)['name'];

        return [
            ['id' => 'photos', 'name' => "$name on Shutterfen", 'detail' => 'your own posts'],
            ['id' => 'mentions', 'name' => 'Mentions on Shutterfen', 'detail' => 'posts of others that mention you'],
        ];
    }

    /**
     * @return array{name: string|null, picture: string|null, bio: string|null}
     *
     * @throws FetchFailed
     */
    public function profile(Grant $grant): array
    {
        $me = Record::parsed($this->granted->get($grant, "$this->address/api/me")->body, $this->name());

        return ['name' => $me->text('name'), 'picture' => $me->address('picture'), 'bio' => $me->text('bio')];
    }

    public function gather(Source $source, CacheValidators $since, Closure $progress): Gathered
    {
        $grant = $source->grant ?? throw FetchFailed::notGranted($this->name());
        $paths = str_starts_with($source->address, '#')
            ? array_map(
                fn (string $tag): string => 'hashtags/'.rawurlencode(mb_strtolower(ltrim($tag, '#'))),
                Pieces::of($source->address, '/[\s,]+/u'),
            )
            : [$source->address];
        $entries = [];
        $problems = [];
        $first = null;
        $whole = true;
        foreach ($paths as $path) {
            $before = null;
            for ($page = 0; $page < self::MOST_PAGES && ($page === 0 || $before !== null); $page++) {
                $answer = $this->granted->get(
                    $grant,
                    "$this->address/api/$path".($before === null ? '' : '?before='.rawurlencode($before)),
                    $page === 0 && count($paths) === 1 ? $since->headers() : [],
                );
                if ($answer->status === 304) {
                    return new Gathered(null, Coverage::Whole, $since);
                }
                $first ??= $answer;
                [$reading, $before] = ShutterfenPhotos::read($answer->body);
                foreach ($reading->entries as $entry) {
                    $entries[$entry->id] = $entry; // a post with two of the hashtags comes twice
                }
                array_push($problems, ...$reading->problems);
                $progress(count($entries));
            }
            $whole = $whole && $before === null;
        }

        return new Gathered(new Reading(
            'Shutterfen posts',
            array_values($entries),
            $problems,
        ), $whole ? Coverage::Whole : Coverage::Newest,
            $first === null || count($paths) > 1 ? new CacheValidators : CacheValidators::from($first));
    }
}
