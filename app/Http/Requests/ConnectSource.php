<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** What a new source is made of: a channel, and what stands for it there: an address, a place, a venue, a board. */
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
            'channel' => ['required', 'in:feed,page,wayleaf,ticketwick,shutterfen,corkwall'],
            'address' => ['required', 'string', 'max:2000'],
            'name' => ['required', 'string', 'max:100'],
            'home' => ['nullable', 'url:http,https', 'max:2000'],
            'grant' => ['required_if:channel,ticketwick,shutterfen', 'nullable', 'integer'],
            'subject' => ['nullable', 'string', 'max:100'],
            'of' => ['nullable', 'string', 'max:200'],
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

    public function grant(): ?int
    {
        return $this->filled('grant') ? $this->integer('grant') : null;
    }

    /** Name of the subject that it is about. */
    public function subject(): ?string
    {
        return $this->filled('subject') ? $this->string('subject')->toString() : null;
    }

    /** Of a page that tells of several things: the one whose reviews are meant. */
    public function of(): ?string
    {
        return $this->filled('of') ? $this->string('of')->toString() : null;
    }
}
