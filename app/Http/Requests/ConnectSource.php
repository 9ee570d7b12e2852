<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** What a new source is made of: a channel, and an address (feed) or the identifier of a place (Wayleaf). */
final class ConnectSource extends FormRequest
{
    public function authorize(): bool
    {
        return true; // every member of a site may connect; the site itself comes from the session
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'channel' => ['required', 'in:feed,wayleaf'],
            'address' => ['required', 'string', 'max:2000'],
            'name' => ['required', 'string', 'max:100'],
            'home' => ['nullable', 'url:http,https', 'max:2000'],
        ];
    }

    public function channel(): string
    {
        return $this->string('channel')->toString();
    }

    public function address(): string
    {
        return $this->string('address')->toString();
    }

    public function name(): string
    {
        return $this->string('name')->toString();
    }

    public function home(): ?string
    {
        return $this->input('home');
    }
}
