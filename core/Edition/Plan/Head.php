<?php

declare(strict_types=1);

namespace Gnomic\Edition\Plan;

use DateTimeImmutable;
use DateTimeZone;
use Gnomic\Edition\Input\Account;
use Gnomic\Edition\Input\VariantInput;
use Gnomic\Entry\Entry;
use Gnomic\Shape\Action;
use Gnomic\Shape\Card\Face;
use Gnomic\Shape\Card\SourcePage;
use Gnomic\Shape\Card\StoredPicture;
use Gnomic\Shape\Shape;
use Gnomic\Sift\Clauses\FromSources;
use Gnomic\Standing\Overall;
use Gnomic\Text\Catalogue;

/** What stands above the cards or beside them. Null is not shown. */
final readonly class Head
{
    private const MOST_FACES = 5;

    /**
     * @param  string|null  $figure  the overall rating as it is shown, "4.6"
     * @param  int|null  $twentieths  the same in twentieths of a star
     * @param  string|null  $base  what it rests on: "from 318 ratings"
     * @param  string  $since  and at how many sources since when, behind it; where there is little room it is left out
     * @param  array<int, int>|null  $spread  ratings by stars 1 to 5
     * @param  string|null  $posts  how many there are of the account: "48 posts"
     * @param  list<HeadChannel>  $channels  figures by outside service
     * @param  list<HeadAction>  $actions
     * @param  list<Face>  $faces  of some who said it
     * @param  string|null  $others  and how many did besides
     */
    private function __construct(
        public ?string $heading,
        public ?string $line,
        public ?string $figure,
        public ?int $twentieths,
        public ?string $base,
        public string $since,
        public ?array $spread,
        public array $channels,
        public ?Account $account,
        public ?Face $face,
        public ?string $posts,
        public array $actions,
        public array $faces,
        public ?string $others,
    ) {
    }

    /** @param  string  $all  address of everything */
    public static function of(Shape $shape, VariantInput $input, string $all): self
    {
        [$overall, $site, $words] = [$input->chosen->overall, $input->site, $input->words];
        [$pictures, $collected] = [$site->pictures, $input->chosen->collected];
        $own = FromSources::named($input->brief->criteria);
        $pages = $own === null ? $site->pages : array_intersect_key($site->pages, array_flip($own));
        $isFigure = $shape->layout::most() === 0;
        $in = fn (string $part): bool => ($shape->headAt !== 'none' || $isFigure) && in_array($part, $shape->head, true);
        $figures = fn (string $part): bool => $in($part) && $overall->count > 0;
        $account = $in('account') ? ($site->accounts[0] ?? null) : null;
        $shows = $shape->headAt !== 'none';

        // A seal has its figure and what that rests on, and nothing else.
        $hasRoom = $shape->layout->hasRoomForBars();
        $faces = $hasRoom && $in('faces') ? self::faces($input->chosen->shown, $pictures) : [];
        $others = $overall->count - count($faces);
        [$base, $since] = $figures('count') ? self::base($overall, $site->zone, $words) : [null, ''];

        return new self(
            $shows ? $shape->heading : null,
            $shows ? $shape->line : null,
            $figures('overall') && $overall->mean !== null ? $words->number(round($overall->mean, 1), 1) : null,
            ! $figures('overall') || $overall->mean === null ? null : (int) round($overall->mean * 20),
            $base,
            $since,
            $figures('spread') ? $overall->spread : null,
            $hasRoom && $figures('channels') ? self::channels($overall, $site->pages, $pictures, $words) : [],
            $account,
            $account === null ? null : Face::of($account->name, $pictures[(string) $account->picture] ?? null),
            $account === null || $collected === 0 ? null : $words->say('account.posts', ['count' => $collected]),
            $shows ? self::actions($shape, $words, $pages, $all) : [],
            $faces,
            $faces === [] || $others < 1 ? null : $words->say('faces.others', ['count' => $others]),
        );
    }

    public function isEmpty(): bool
    {
        return $this->heading === null && $this->line === null && ! $this->hasRow();
    }

    /** Whether there is a row of figures, an account or actions. */
    public function hasRow(): bool
    {
        return $this->hasFigures() || $this->account !== null || $this->actions !== [];
    }

    public function hasFigures(): bool
    {
        return $this->figure !== null || $this->base !== null || $this->spread !== null || $this->channels !== [] || $this->faces !== [];
    }

    /**
     * Of different people, those with a picture first.
     *
     * @param  list<Entry>  $entries
     * @param  array<string, StoredPicture>  $pictures  by address
     * @return list<Face>
     */
    private static function faces(array $entries, array $pictures): array
    {
        $faces = [];
        foreach ($entries as $entry) {
            if ($entry->author->name !== null) {
                $faces[$entry->author->name] ??= Face::of($entry->author->name, $pictures[(string) $entry->author->image] ?? null);
            }
        }
        usort($faces, fn (Face $one, Face $other): int => ($one->address === null) <=> ($other->address === null));

        return array_slice($faces, 0, self::MOST_FACES);
    }

    /**
     * Sources of one service together: visitors know the service.
     *
     * @param  array<string, SourcePage>  $pages
     * @param  array<string, StoredPicture>  $pictures  by address
     * @return list<HeadChannel>
     */
    private static function channels(Overall $overall, array $pages, array $pictures, Catalogue $words): array
    {
        $sums = $counts = $urls = $signs = [];
        foreach ($overall->bySource as $source => ['count' => $count, 'sum' => $sum]) {
            $name = ($pages[$source] ?? null)->name ?? (string) $source;
            $sums[$name] = ($sums[$name] ?? 0.0) + $sum;
            $counts[$name] = ($counts[$name] ?? 0) + $count;
            $urls[$name][] = ($pages[$source] ?? null)?->url;
            $signs[$name] ??= $pictures[(string) ($pages[$source] ?? null)?->sign] ?? null;
        }
        $channels = [];
        foreach ($counts as $name => $count) {
            $mean = $sums[$name] / max(1, $count);
            $channels[] = new HeadChannel(
                (string) $name,
                count($urls[$name]) === 1 ? $urls[$name][0] : null,
                $words->number(round($mean, 1), 1),
                (int) round($mean * 20),
                $words->say('figures.base', ['count' => $count, 'sources' => 0, 'places' => '']),
                $signs[$name] === null ? null : Sign::of($signs[$name]),
            );
        }

        return $channels;
    }

    /** @return array{string, string} how many it rests on, and at how many sources since when where that stands behind it */
    private static function base(Overall $overall, DateTimeZone $zone, Catalogue $words): array
    {
        $with = ['count' => $overall->count, 'sources' => $overall->sources, 'places' => $words->counted($overall->sources)];
        $whole = $overall->since === null ? $words->say('figures.base', $with) : $words->say(
            'figures.baseSince',
            $with + ['month' => $words->month(new DateTimeImmutable("@$overall->since"), $zone)],
        );
        // In languages that say the number first, it can stand by itself.
        foreach ([1, $overall->sources] as $sources) {
            $base = $words->say('figures.base', ['sources' => $sources] + $with);
            if (str_starts_with($whole, $base)) {
                return [$base, substr($whole, strlen($base))];
            }
        }

        return [$whole, ''];
    }

    /**
     * @param  array<string, SourcePage>  $pages
     * @return list<HeadAction> none of those that lead nowhere
     */
    private static function actions(Shape $shape, Catalogue $words, array $pages, string $all): array
    {
        $actions = [];
        foreach ($shape->actions as $action) {
            $links = match ($action->does) {
                'all' => ['' => $all],
                'link' => $action->url === null ? [] : ['' => $action->url],
                default => self::links($action, $pages),
            };
            if ($links !== []) {
                $text = $action->text ?? ($action->does === 'link' ? (string) $action->url : $words->say(match ($action->does) {
                    'review' => 'action.review',
                    'follow' => 'action.follow',
                    default => 'action.all',
                }));
                $actions[] = new HeadAction($text, $links);
            }
        }

        return $actions;
    }

    /**
     * @param  array<string, SourcePage>  $pages
     * @return array<string, string> addresses by name
     */
    private static function links(Action $action, array $pages): array
    {
        $links = [];
        foreach ($action->sources ?? array_keys($pages) as $key) {
            $page = $pages[$key] ?? null;
            // Reviews are written where that is possible, or where the owner says so.
            $isMeant = $action->does !== 'review' || $action->sources !== null || $page?->takesReviews === true;
            if ($page?->url !== null && $isMeant) {
                $links[isset($links[$page->name]) ? "$page->name ($key)" : $page->name] = $page->url;
            }
        }

        return $links;
    }
}
