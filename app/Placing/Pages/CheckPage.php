<?php

declare(strict_types=1);

namespace App\Placing\Pages;

use App\Fetching\Fetcher;
use App\Fetching\FetchFailed;
use App\Fetching\HttpResponse;
use App\Models\Finding;
use App\Models\Page;
use App\Models\Widget;
use Gnomic\Json\Value;
use Gnomic\Place\Check\CheckFinding;
use Gnomic\Place\Check\Evidence;
use Gnomic\Place\Check\Expected;
use Gnomic\Place\Check\FetchedPage;
use Gnomic\Place\Check\PageFault;
use Gnomic\Place\Check\PageTags;
use Gnomic\Place\Check\PlacementVerdict;
use Gnomic\Place\Check\Sighting;
use Gnomic\Text\Charset;
use Gnomic\Text\Words;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Fetches a page as a visitor would, and keeps whether the widgets are there that should be. */
final readonly class CheckPage
{
    private const SECONDS = 15;

    /** Days for which what a widget said of itself is believed. */
    private const FRESH_DAYS = 2;

    public function __construct(private Fetcher $fetcher, private ExpectedOnPage $expected, private string $host)
    {
    }

    /**
     * @param  bool  $isAsked  whether the owner wants it looked at now: a look that finds the widget then counts for more than what
     *     visitors said before
     */
    public function check(Page $page, bool $isAsked = false): void
    {
        $expected = $this->expected->on($page);
        try {
            $answer = $this->fetched($page->address);
        } catch (FetchFailed $failed) {
            $this->keepAll($page, $expected, PageFault::unreachable($failed->getMessage()));

            return;
        }
        $fetched = self::page($answer);
        $refused = FetchFailed::status($answer->status, (string) parse_url($answer->address, PHP_URL_HOST))->getMessage();
        $fault = PageFault::of($page->address, $fetched, $refused);
        if ($fault !== null) {
            $this->keepAll($page, $expected, $fault);

            return;
        }
        $tags = PageTags::of($fetched, $this->host);
        $fault = PageFault::behindSignIn($page->address, $fetched, $tags);
        if ($fault !== null) {
            $this->keepAll($page, $expected, $fault);

            return;
        }
        $expected = $this->expected->with($expected, $tags, $page);
        $check = $this->expected->check($page->site);
        $again = null;
        foreach ($expected as [$widget, $one]) {
            $told = $check->of($tags, $fetched, $one, $this->frameHeaders($tags, $one));
            if (! $told[0]->verdict->shows() && in_array(
                $told[0]->verdict,
                [PlacementVerdict::Missing, PlacementVerdict::OtherKey, PlacementVerdict::ScriptGone],
                true,
            )) {
                $again ??= $this->again($page->address);
                $told = $again !== null && $check->of($again[1], $again[0], $one)[0]->verdict->shows() ? [
                    PageFault::oldCopy($fetched),
                    ...$told,
                ] : $told;
            }
            $finding = $this->finding($page, $widget);
            $finding->learn($told[0]->verdict);
            if ($isAsked && $told[0]->verdict->shows()) {
                $this->seen($page, $one)->update(['hours' => null]);
            }
            $this->keep($finding, $one, $this->sighting($page, $one, $finding)?->beside($told) ?? $told);
        }
        $page->update([
            'title' => $tags->title === null ? $page->title : mb_strcut($tags->title, 0, 290),
            'language' => $tags->language === null ? $page->language : mb_strcut($tags->language, 0, 35),
            'seen_at' => now(),
            'checked_at' => now(),
            'failure' => null,
            'widgets' => array_values(array_map(fn (array $one): array => ['key' => $one[0]->key, 'name' => $one[0]->name], $expected)),
        ]);
        $keys = array_map(fn (array $one): int => $one[0]->id, $expected);
        Finding::query()->where('page_id', $page->id)->whereNotIn('widget_id', $keys)->delete();
    }

    /** @throws FetchFailed */
    private function fetched(string $address, bool $fresh = false): HttpResponse
    {
        $headers = ['Accept' => 'text/html,application/xhtml+xml'] + (
            $fresh ? ['Cache-Control' => 'no-cache', 'Pragma' => 'no-cache'] : []
        );

        return $this->fetcher->within(self::SECONDS)->get($address, $headers);
    }

    /** @return array{FetchedPage, PageTags}|null what is behind a cache; null where it cannot be had */
    private function again(string $address): ?array
    {
        try {
            $answer = $this->fetched($address.(str_contains($address, '?') ? '&' : '?').'gnomic='.bin2hex(random_bytes(4)), true);
        } catch (FetchFailed) {
            return null;
        }
        $fetched = self::page($answer);

        return $answer->isOk() && strlen($answer->body) <= PageFault::LARGEST ? [$fetched, PageTags::of($fetched, $this->host)] : null;
    }

    /** @return list<string>|null */
    private function frameHeaders(PageTags $tags, Expected $expected): ?array
    {
        foreach ($tags->frames as $frame) {
            if (in_array($frame->key, $expected->keys, true)) {
                try {
                    $answer = $this->fetcher->within(5)->get($frame->address);
                } catch (FetchFailed) {
                    return null;
                }
                $lines = [];
                foreach (['Content-Security-Policy', 'X-Frame-Options'] as $name) {
                    if ($answer->header($name) !== null) {
                        $lines[] = "$name: {$answer->header($name)}";
                    }
                }

                return $lines;
            }
        }

        return null;
    }

    /** What visitors' browsers agree about lately. Who saw it before its code was gone says nothing of now. */
    private function sighting(Page $page, Expected $expected, Finding $finding): ?Sighting
    {
        $since = max(
            now()->subDays(self::FRESH_DAYS)->getTimestamp(),
            $finding->gone_since === null ? 0 : $finding->gone_since->getTimestamp() + Sighting::LINGERS,
        );
        $seen = $this->seen($page, $expected)->orderByDesc('last_at')->value('hours');

        return Evidence::of(json_decode(Value::textOrNull($seen) ?? '{}', true))->agreed($since);
    }

    private function seen(Page $page, Expected $expected): Builder
    {
        return DB::table('sightings')->where('page', self::path($page->address))
            ->whereIn('widget_id', DB::table('widgets')->whereIn('key', $expected->keys)->select('id'));
    }

    /** @param  array<int, array{Widget, Expected}>  $expected */
    private function keepAll(Page $page, array $expected, CheckFinding $told): void
    {
        foreach ($expected as [$widget, $one]) {
            $this->keep($this->finding($page, $widget), $one, [$told]);
        }
        $page->update(['checked_at' => now(), 'failure' => $told->says]);
    }

    private function finding(Page $page, Widget $widget): Finding
    {
        return Finding::query()->where('page_id', $page->id)->where('widget_id', $widget->id)->first()
            ?? new Finding(['site_id' => $page->site_id, 'page_id' => $page->id, 'widget_id' => $widget->id]);
    }

    /** @param  non-empty-list<CheckFinding>  $told */
    private function keep(Finding $finding, Expected $expected, array $told): void
    {
        $shows = $told[0]->verdict->shows();
        $now = now();
        // What was never there is not missed, unless a spot says that it should be.
        $isMissed = ! $shows && ($expected->isSure || $finding->last_there_at !== null);
        $finding->fill([
            'verdict' => $told[0]->verdict->value,
            'told' => array_map(fn (CheckFinding $one): array => $one->toArray(), $told),
            'first_there_at' => $finding->first_there_at ?? ($shows ? $now : null),
            'last_there_at' => $shows ? $now : $finding->last_there_at,
            'missing_since' => $isMissed ? ($finding->missing_since ?? $now) : null,
            'checked_at' => $now,
        ])->save();
    }

    private static function page(HttpResponse $answer): FetchedPage
    {
        $lines = fn (string $name): array => $answer->header($name) === null ? [] : [$answer->header($name)];
        $cached = array_filter([
            $answer->header('Age') === null ? null : "Age: {$answer->header('Age')}",
            $answer->header('X-Cache'),
            $answer->header('CF-Cache-Status'),
        ], Words::isFilled(...));

        return new FetchedPage(
            Charset::ofPage($answer->body, (string) $answer->header('Content-Type')),
            $answer->address,
            $lines('Content-Security-Policy'),
            $lines('Content-Security-Policy-Report-Only'),
            $cached === [] ? null : implode(', ', $cached),
            $answer->status,
            (string) $answer->header('Content-Type'),
            $answer->redirects,
        );
    }

    private static function path(string $address): string
    {
        return Words::filled((string) parse_url($address, PHP_URL_PATH)) ?? '/';
    }
}
