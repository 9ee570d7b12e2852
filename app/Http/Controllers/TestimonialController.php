<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Entries\Hand\Testimonials;
use App\Http\Resources\EntryResource;
use App\Models\EntryRecord;
use App\Models\Site;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\ValidationException;

/** Testimonials written down by the owner. */
final class TestimonialController
{
    private const RULES = [
        'author' => ['required', 'string', 'max:100'],
        'role' => ['nullable', 'string', 'max:100'],
        'place' => ['nullable', 'string', 'max:100'],
        'email' => ['nullable', 'email', 'max:200'],
        'title' => ['nullable', 'string', 'max:200'],
        'text' => ['nullable', 'string', 'max:10000'],
        'rating' => ['nullable', 'numeric', 'min:1', 'max:5'],
        'date' => ['nullable', 'date_format:Y-m-d'],
        'labels' => ['nullable', 'string', 'max:500'],
        'subject' => ['nullable', 'string', 'max:100'], 'picture' => ['nullable', 'file', 'max:10240'],
    ];

    public function store(Request $request, Site $site, Testimonials $testimonials): JsonResponse
    {
        return EntryResource::make($testimonials->write(
            $site,
            $given = $this->given($request),
            $this->picture($given),
        ))->response()->setStatusCode(JsonResponse::HTTP_CREATED);
    }

    /** What only the owner sees comes along: the e-mail address. */
    public function show(Site $site, string $id): JsonResponse
    {
        $entry = $this->found($site, $id);

        return new JsonResponse(['email' => $entry->private] + EntryResource::make($entry)->resolve());
    }

    public function update(Request $request, Site $site, Testimonials $testimonials, string $id): EntryResource
    {
        $stored = $this->found($site, $id);

        return EntryResource::make($testimonials->write($site, $given = $this->given($request), $this->picture($given), $stored));
    }

    /** Removed or, with removed=0, brought back. */
    public function destroy(Request $request, Site $site, Testimonials $testimonials, string $id): JsonResponse
    {
        $testimonials->remove($site, $this->found($site, $id), $request->boolean('removed', true));

        return new JsonResponse(null, JsonResponse::HTTP_NO_CONTENT);
    }

    /**
     * @return array<string, mixed>
     *
     * @throws ValidationException
     */
    private function given(Request $request): array
    {
        $given = $request->validate(self::RULES);
        if (trim((string) ($given['text'] ?? '')) === '' && trim((string) ($given['title'] ?? '')) === '' && ! isset($given['rating'])) {
            throw ValidationException::withMessages(['text' => 'Write what was said, or give at least a title or a rating.']);
        }

        return $given;
    }

    /** @param  array<string, mixed>  $given */
    private function picture(array $given): ?string
    {
        $file = $given['picture'] ?? null;

        return $file instanceof UploadedFile ? (string) $file->get() : null;
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
