<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\History;
use App\Bench\Proof;
use App\Editions\EditionFiles;
use App\Http\Resources\WidgetResource;
use App\Models\Edition;
use App\Models\Site;
use App\Models\Widget;
use App\Outbox\Outbox;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;

/** What was published of a widget: what changed, what it looked like, and how it comes back. */
final class EditionController
{
    public function index(Site $site, History $history, string $key): JsonResponse
    {
        return new JsonResponse(['editions' => $history->of($this->widget($site, $key))]);
    }

    /** As visitors had it; where its files are kept no longer, its brief over the entries as they are now. */
    public function show(Site $site, EditionFiles $files, Proof $proof, string $key, int $number): JsonResponse
    {
        $edition = $this->edition($this->widget($site, $key), $number);
        $kept = $files->read($key, $edition->hash, 'widget.html');

        return new JsonResponse([
            'number' => $edition->number,
            // What the owner looks at is not counted.
            'fragment' => $kept !== null ? (string) preg_replace(
                '/ data-key="[a-z0-9]+"/',
                '',
                $kept,
            ) : $proof->fragment($site, $edition->toBrief(), $key),
            'isKept' => $kept !== null,
            'brief' => $edition->toBrief()->toArray(),
        ]);
    }

    /** Its brief is on the bench again, and goes out, over the entries as they are now. */
    public function restore(Site $site, Outbox $outbox, string $key, int $number): JsonResponse
    {
        $widget = $this->widget($site, $key);
        $brief = $this->edition($widget, $number)->toBrief();
        DB::transaction(function () use ($widget, $brief, $outbox, $number): void {
            $widget->update(['brief' => $brief->toArray()]);
            $outbox->widget($widget, $brief, "Edition $number was restored");
        });

        return WidgetResource::named($site, $key)->response()->setStatusCode(JsonResponse::HTTP_ACCEPTED);
    }

    private function widget(Site $site, string $key): Widget
    {
        return $site->widgets()->with(['edition', 'site'])->where('key', $key)->firstOrFail();
    }

    private function edition(Widget $widget, int $number): Edition
    {
        return $widget->editions()->where('number', $number)->firstOrFail();
    }
}
