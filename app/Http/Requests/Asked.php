<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Gnomic\Json\Value;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;

/**
 * What is asked of the interface, held to its rules when a controller takes it: whoever asks for a thing that is not there, or is
 * another's, is told that before anything about the rest.
 */
abstract class Asked extends FormRequest
{
    public function authorize(): bool
    {
        return true; // every member of a site may; the site itself comes from the session
    }

    public function validateResolved(): void
    {
        // given() does it
    }

    /**
     * @param  array<string, mixed>  $given  what given() gave
     * @return string|null bytes of a file; null where none was sent
     */
    public static function bytes(array $given, string $member): ?string
    {
        $file = $given[$member] ?? null;

        return $file instanceof UploadedFile ? (string) $file->get() : null;
    }

    /** @return array<string, mixed> the members that the rules name, as far as they were sent */
    public function given(): array
    {
        parent::validateResolved();

        return Value::members($this->validated());
    }
}
