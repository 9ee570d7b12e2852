<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Host\KnowsHost;
use App\Http\Requests\EndTrial;
use App\Http\Requests\ShowCounts;
use App\Models\Site;
use App\Models\SpotRecord;
use App\Models\Subject;
use App\Models\Trial;
use App\Models\Widget;
use App\Placing\Codes;
use App\Placing\Counting\Trials;
use App\Placing\Counting\WidgetCounts;
use App\Placing\Spots;
use Gnomic\Gather\Tables\Cells;
use Gnomic\Json\Value;
use Gnomic\Place\Spot\Spot;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;

/** What of a widget goes out into the world: its codes, what visitors do with it, and two versions of it against each other. */
final class PlacingController
{
    use KnowsHost;

    public function codes(Site $site, Codes $codes, string $key): JsonResponse
    {
        $widget = $this->widget($site, $key);

        return new JsonResponse([
            'codes' => $codes->of($site, $widget),
            'mail' => ['subject' => "The code of \"$widget->name\" for {$site->name}", 'body' => $codes->mail($site, $widget)],
            'subjects' => $this->subjects($site, $widget, $codes),
        ]);
    }

    /** A code for each subject of the site, each with a key of its own. */
    public function makeSubjects(Site $site, Codes $codes, Spots $spots, string $key): JsonResponse
    {
        $widget = $this->widget($site, $key);
        if ($this->table($widget) === null) {
            // Pages that say what they are about are served by the same forms.
            $spots->put($site, $widget, Spot::read(['pages' => ['/*'], 'follows' => 'data', 'elseUsual' => true]));
        }

        return $this->codes($site, $codes, $key);
    }

    public function subjectsTable(Site $site, Codes $codes, string $key): Response
    {
        $widget = $this->widget($site, $key);
        $rows = array_map(
            fn (array $row): array => [$row['name'], $row['key'], $row['tag'], $row['frame'], $row['address']],
            $this->subjects($site, $widget, $codes) ?? [],
        );
        $table = "\u{FEFF}".implode('', array_map(Cells::row(...), [['subject', 'key', 'tag', 'frame', 'address'], ...$rows]));

        return self::file($table, "codes-$widget->key.csv");
    }

    public function counts(ShowCounts $request, Site $site, WidgetCounts $counts, string $key): JsonResponse
    {
        $given = $request->given();
        $widget = $this->widget($site, $key);
        $trial = Trials::running($widget);
        $query = Trial::query();
        $query->where('widget_id', $widget->id)->whereNotNull('ended_at')->orderByDesc('id')->limit(5);

        return new JsonResponse($counts->of($widget, Value::whole($given['days'] ?? 30)) + [
            'trial' => $trial === null
                ? null
                : ['startedAt' => $trial->started_at->toRfc3339String()] + Trials::account($trial)->toArray(),
            'trials' => array_values($query->get()->map(fn (Trial $ended): array => [
                'startedAt' => $ended->started_at->toRfc3339String(),
                'endedAt' => $ended->ended_at?->toRfc3339String(),
                'kept' => $ended->kept,
            ] + ($ended->told ?? []))->all()),
        ]);
    }

    public function countsTable(Site $site, WidgetCounts $counts, string $key): Response
    {
        $widget = $this->widget($site, $key);
        $table = "\u{FEFF}";
        foreach ($counts->rows($widget) as $row) {
            $table .= Cells::row(array_map(strval(...), $row));
        }

        return self::file($table, "counts-$widget->key.csv");
    }

    /** What is on the bench against what is published. */
    public function beginTrial(Site $site, Trials $trials, string $key): JsonResponse
    {
        $widget = $this->widget($site, $key);
        $published = $widget->edition?->toBrief();
        if ($published === null) {
            throw new ConflictHttpException('Publish the widget first: a trial compares two versions with each other.');
        }
        if (Trials::running($widget) !== null) {
            throw new ConflictHttpException('A trial of this widget is already running. End it first.');
        }
        if ($published->toArray() === $widget->draft()->toArray()) {
            throw new ConflictHttpException(
                'The bench and the published widget are the same. Change something first: that becomes the other version.',
            );
        }
        $trials->begin($widget, $published, $widget->draft());

        return new JsonResponse(null, JsonResponse::HTTP_NO_CONTENT);
    }

    public function endTrial(EndTrial $request, Site $site, Trials $trials, string $key): JsonResponse
    {
        $widget = $this->widget($site, $key);
        $given = $request->given();
        $trial = Trials::running($widget);
        if ($trial === null) {
            throw new ConflictHttpException('This widget has no trial running.');
        }
        $trials->end($trial, $given['kept'] === 'other' ? 'other' : 'this');

        return new JsonResponse(null, JsonResponse::HTTP_NO_CONTENT);
    }

    /**
     * @return list<array{name: string, key: string, tag: string, frame: string, address: string, isOut: bool}>|null null where there
     *     is no table yet
     */
    private function subjects(Site $site, Widget $widget, Codes $codes): ?array
    {
        $record = $this->table($widget);
        if ($record === null) {
            return null;
        }
        $forms = $widget->formsByVariant();
        $rows = [];
        $query = Subject::query();
        $query->where('site_id', $site->id)->orderBy('name');
        foreach ($query->get() as $subject) {
            $form = $forms["s$record->id.$subject->key"] ?? null;
            if ($form !== null && $form->removed_at === null) {
                $host = $this->host();
                $rows[] = ['name' => $subject->name, 'key' => $form->key, 'tag' => $codes->tag($form), 'frame' => $codes->frame($form),
                    'address' => "$host/w/$form->key", 'isOut' => $form->edition_id !== null];
            }
        }

        return $rows;
    }

    private function table(Widget $widget): ?SpotRecord
    {
        foreach ($widget->spotRecords() as $record) {
            if ($record->toCore()->follows !== null) {
                return $record;
            }
        }

        return null;
    }

    private static function file(string $table, string $name): Response
    {
        return new Response(
            $table,
            200,
            ['Content-Type' => 'text/csv; charset=utf-8', 'Content-Disposition' => "attachment; filename=\"$name\""],
        );
    }

    private function widget(Site $site, string $key): Widget
    {
        return $site->widgets()->with(['edition', 'site'])->where('key', $key)->firstOrFail();
    }
}
