<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A table of entries or of subjects. */
final class UploadTable extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['kind' => ['required', 'in:entries,subjects'], 'file' => ['required', 'file', 'max:10240']];
    }
}
