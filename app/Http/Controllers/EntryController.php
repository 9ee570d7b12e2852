<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\SentenceContexts;
use App\Entries\Listing\Export;
use App\Entries\Listing\Whereabouts;
use App\Entries\Marks;
use App\Http\Requests\ListEntries;
use App\Http\Requests\MarkEntries;
use App\Http\Requests\PlainText;
use App\Http\Resources\EntryResource;
use App\Models\EntryRecord;
use App\Models\Site;
use Gnomic\Brief\Phrase;
use Gnomic\Brief\Sentence;
use Gnomic\Edition\Advice\Doubts;
use Gnomic\Json\Value;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Everything that was gathered, to read and to put right. */
final class EntryController
{
    private const PAGE = 60;

    /** Entries that are picked at once, for what is done to many. */
    private const MOST = 5000;

    public function index(ListEntries $request, Site $site, SentenceContexts $contexts): JsonResponse
    {
        $listing = $request->listing($site);
        $wanted = $request->wanted();

        return new JsonResponse([
            'count' => $listing->count(),
            'entries' => EntryResource::collection($listing->page(max(0, (int) PlainText::of($request, 'from')), self::PAGE)),
            'wanted' => $wanted->toArray(),
            'sentence' => array_map(
                fn (Phrase $phrase): array => get_object_vars($phrase),
                Sentence::ofListing($wanted, $contexts->site($site, $wanted)),
            ),
            'doubts' => array_column(Doubts::about($wanted), 'text'),
        ]);
    }

    /** The identifiers of all that is listed, as far as many are marked at once. */
    public function ids(ListEntries $request, Site $site): JsonResponse
    {
        return new JsonResponse(['ids' => $request->listing($site)->refs(self::MOST)]);
    }

    public function where(Request $request, Site $site, Whereabouts $whereabouts): JsonResponse
    {
        $ref = PlainText::of($request, 'id');
        $entry = EntryRecord::ofRefs($site, [$ref])[$ref] ?? abort(404, 'There is no such entry.');

        return new JsonResponse(['widgets' => $whereabouts->of($site, $entry)]);
    }

    public function export(ListEntries $request, Site $site, Export $export, string $form): StreamedResponse
    {
        $listing = $request->listing($site);

        return new StreamedResponse(function () use ($export, $form, $listing, $site): void {
            foreach ($export->write($form, $listing->each(), "$site->name: entries") as $piece) {
                echo $piece;
            }
        }, headers: ['Content-Type' => Export::TYPES[$form].'; charset=utf-8',
            'Content-Disposition' => "attachment; filename=\"entries.$form\""]);
    }

    /**
     * Hides, holds, releases or labels entries; what is out follows in the background. The answer names those it changed, to take it back.
     */
    public function mark(MarkEntries $request, Site $site, Marks $marks): JsonResponse
    {
        $given = $request->given();
        /** @var list<string> $ids */
        $ids = Value::texts($given['ids']);
        $changed = match (true) {
            isset($given['hidden']) => $marks->hide($site, $ids, (bool) $given['hidden']),
            isset($given['held']) => $marks->hold($site, $ids, (bool) $given['held']),
            default => $marks->label($site, $ids, Value::text($given['label']), (bool) $given['on']),
        };

        return new JsonResponse(['changed' => $changed]);
    }
}
