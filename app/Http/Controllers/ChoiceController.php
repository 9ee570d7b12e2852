<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Editions\SiteLooks;
use App\Models\Site;
use App\Sources\Channels\Channels;
use Gnomic\Dress\Dress;
use Gnomic\Dress\Look;
use Gnomic\Dress\Own\StyledParts;
use Gnomic\Dress\Palette;
use Gnomic\Json\Schema\Schema;
use Gnomic\Json\Value;
use Gnomic\Shape\Compositions;
use Gnomic\Shape\Layouts;
use Gnomic\Shape\Parts\Parts as CardParts;
use Gnomic\Sift\Clauses;
use Gnomic\Sift\Topic;
use Gnomic\Text\LanguageTag;
use Gnomic\Text\Tags;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;

/**
 * What there is to choose from at a site, where a brief names things: what can be asked, layouts, looks, languages, labels, hashtags,
 * subjects, channels, widgets.
 */
final class ChoiceController
{
    private const MOST = 60;

    public function __invoke(Site $site, Channels $channels, SiteLooks $looks): JsonResponse
    {
        $entries = DB::table(DB::raw('entries INDEXED BY entries_facts'))->where('site_id', $site->id);
        $languages = (clone $entries)->whereNotNull('language')
            ->groupBy('language')
            ->selectRaw('language, COUNT(*) AS times')
            ->pluck('times', 'language')
            ->all();
        $byChannel = Value::named($site->sources()->pluck('channel', 'key')->all());
        $bySource = (clone $entries)->groupBy('source')->selectRaw('source, COUNT(*) AS times')->pluck('times', 'source')->all();
        $bySubject = (clone $entries)->whereNotNull('subject')
            ->groupBy('subject')
            ->selectRaw('subject, COUNT(*) AS times')
            ->pluck('times', 'subject')
            ->all();
        $ofChannels = [];
        foreach ($byChannel as $source => $channel) {
            $ofChannels[$channel] = ($ofChannels[$channel] ?? 0) + Value::whole($bySource[$source] ?? 0);
        }
        $names = $channels->names();
        $subjects = Value::named($site->subjects()->pluck('name', 'key')->all());

        return new JsonResponse([
            'topics' => array_map(fn (Topic $topic): array => get_object_vars($topic) + ['members' => (object) array_map(
                fn (Schema $schema): array => $schema->toArray(),
                Clauses::membersOf($topic->key),
            )], Clauses::topics()),
            'layouts' => array_map(fn (string $layout): array => [
                'name' => $layout::name(),
                'label' => $layout::label(),
                'flows' => $layout::flows(),
                'hasCards' => $layout::most() !== 0,
                'hasRoom' => $layout::hasRoom(),
                'grows' => $layout::grows(),
                'settings' => (object) array_map(fn (Schema $schema): array => $schema->toArray(), $layout::settings()),
            ], Layouts::ALL),
            'parts' => array_map(
                fn (string $part): array => ['name' => $part::name(), 'label' => $part::label()],
                CardParts::ALL,
            ),
            'compositions' => array_map(
                fn (string $composition): array => ['name' => $composition::name(), 'label' => $composition::label()],
                Compositions::ALL,
            ),
            'looks' => array_map(
                fn (Look $look): array => ['key' => $look->key, 'isOwn' => str_starts_with($look->key, 'own-')] + $look->toArray(),
                $looks->of($site)->all(),
            ),
            'dress' => [
                'schema' => Dress::schema()->toArray(),
                'parts' => array_map(fn (array $part): string => $part['about'], StyledParts::ALL),
                'properties' => StyledParts::PROPERTIES,
                'colours' => Palette::TOKENS,
            ],
            'languages' => self::choices($languages, LanguageTag::named(...)),
            'labels' => self::choices(
                self::between(
                    $entries->clone()
                        ->where('labels', '!=', '')
                        ->groupBy('labels')
                        ->selectRaw('labels, COUNT(*) AS times')
                        ->pluck('times', 'labels')
                        ->all(),
                ),
                fn (string $label): string => $label,
            ),
            'hashtags' => self::choices(
                self::between(
                    $entries->clone()
                        ->where('tags', '!=', '')
                        ->groupBy('tags')
                        ->selectRaw('tags, COUNT(*) AS times')
                        ->pluck('times', 'tags')
                        ->all(),
                ),
                fn (string $tag): string => $tag,
            ),
            'subjects' => self::choices(
                $bySubject + array_fill_keys(array_keys($subjects), 0),
                fn (string $key): string => $subjects[$key] ?? $key,
            ),
            'channels' => self::choices($ofChannels, fn (string $key): string => $names[$key] ?? $key),
            'widgets' => array_map(fn (object $widget): array => [
                'key' => $widget->key,
                'name' => $widget->name,
                'count' => Value::whole($widget->shown),
            ], array_values(DB::table('widgets')->leftJoin('editions', 'editions.id', '=', 'widgets.edition_id')
                ->where('site_id', $site->id)
                ->orderBy('name')
                ->limit(200)
                ->get(['widgets.key', 'widgets.name', 'editions.shown'])
                ->all())),
        ]);
    }

    /**
     * @param  array<array-key, mixed>  $lines  how often each line of things between bars occurs
     * @return array<string, int>
     */
    private static function between(array $lines): array
    {
        $counts = [];
        foreach ($lines as $line => $times) {
            foreach (Tags::ofLine((string) $line) as $one) {
                $counts[$one] = ($counts[$one] ?? 0) + (is_numeric($times) ? (int) $times : 0);
            }
        }

        return $counts;
    }

    /**
     * @param  array<array-key, mixed>  $counts
     * @param  callable(string): string  $named
     * @return list<array{key: string, name: string, count: int}> the most frequent first
     */
    private static function choices(array $counts, callable $named): array
    {
        arsort($counts);
        $choices = [];
        foreach (array_slice($counts, 0, self::MOST, true) as $key => $count) {
            $choices[] = ['key' => (string) $key, 'name' => $named((string) $key), 'count' => is_numeric($count) ? (int) $count : 0];
        }

        return $choices;
    }
}
