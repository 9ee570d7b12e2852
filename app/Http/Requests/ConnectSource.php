<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Sources\Channels\Channels;
use App\Sources\WantedSource;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\In;

/** What a new source is made of: a channel, and what stands for it there: an address, a place, a venue, a board. */
final class ConnectSource extends FormRequest
{
    public function authorize(): bool
    {
        return true; // every member of a site may connect; the site itself comes from the session
    }

    /** @return array<string, list<In|string>> */
    public function rules(Channels $channels): array
    {
        return [
            'channel' => ['required', Rule::in(array_keys($channels->withAddresses()))],
            'address' => ['required', 'string', 'max:2000'],
            'name' => ['required', 'string', 'max:100'],
            'home' => ['nullable', 'url:http,https', 'max:2000'],
            'grant' => ['required_if:channel,ticketwick,shutterfen', 'nullable', 'integer'],
            'subject' => ['nullable', 'string', 'max:100'],
            'of' => ['nullable', 'string', 'max:200'],
        ];
    }

    public function wanted(): WantedSource
    {
        $text = fn (string $name): ?string => $this->filled($name) ? $this->string($name)->toString() : null;

        return new WantedSource((string) $text('channel'), (string) $text('address'), (string) $text('name'), $text('home'),
            $this->filled('grant') ? $this->integer('grant') : null, $text('subject'), $text('of'));
    }
}
