<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Entries\Hand\Testimonials;
use App\Http\Requests\WriteTestimonial;
use App\Http\Resources\EntryResource;
use App\Models\EntryRecord;
use App\Models\Site;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Testimonials written down by the owner. */
final class TestimonialController
{
    public function store(WriteTestimonial $request, Site $site, Testimonials $testimonials): JsonResponse
    {
        return EntryResource::make($testimonials->write(
            $site,
            $given = $request->given(),
            WriteTestimonial::bytes($given, 'picture'),
        ))->response()->setStatusCode(JsonResponse::HTTP_CREATED);
    }

    /** What only the owner sees comes along: the e-mail address. */
    public function show(Site $site, string $id): JsonResponse
    {
        $entry = $this->found($site, $id);

        return new JsonResponse(['email' => $entry->private] + EntryResource::make($entry)->resolve());
    }

    public function update(WriteTestimonial $request, Site $site, Testimonials $testimonials, string $id): EntryResource
    {
        $stored = $this->found($site, $id);

        $given = $request->given();

        return EntryResource::make($testimonials->write($site, $given, WriteTestimonial::bytes($given, 'picture'), $stored));
    }

    /** Removed or, with removed=0, brought back. */
    public function destroy(Request $request, Site $site, Testimonials $testimonials, string $id): JsonResponse
    {
        $testimonials->remove($site, $this->found($site, $id), $request->boolean('removed', true));

        return new JsonResponse(null, JsonResponse::HTTP_NO_CONTENT);
    }

    private function found(Site $site, string $id): EntryRecord
    {
        $query = EntryRecord::query();
        $query->where('site_id', $site->id)
            ->where('source_entry_id', $id)
            ->whereHas('connection', fn ($source) => $source->where('channel', 'hand'));

        return $query->firstOrFail();
    }
}
