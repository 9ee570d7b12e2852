<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Entries\Listing;
use App\Models\Site;
use Gnomic\Brief\Brief;
use Gnomic\Brief\BriefIsWrong;
use Gnomic\Brief\BriefReader;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** Which entries the owner wants listed: by the clauses of a brief, by a state, by words. */
final class ListEntries extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'wanted' => ['nullable', 'string', 'max:200000'],
            'state' => ['nullable', Rule::in(Listing::STATES)],
            'search' => ['nullable', 'string', 'max:200'],
            'from' => ['nullable', 'integer', 'min:0'],
        ];
    }

    /** @throws BriefIsWrong */
    public function listing(Site $site): Listing
    {
        $state = $this->input('state');

        return new Listing($site, $this->wanted(), is_string($state) && $state !== '' ? $state : null, $this->string('search')->toString());
    }

    /** @throws BriefIsWrong */
    public function wanted(): Brief
    {
        $wanted = $this->string('wanted')->toString();
        $json = $wanted === '' ? [] : json_decode($wanted, true, 32);
        if (! is_array($json)) {
            throw new BriefIsWrong('/', 'What is wanted is not JSON: '.json_last_error_msg().'.');
        }

        return BriefReader::read(['version' => 1] + array_intersect_key($json, ['gather' => true, 'sift' => true]));
    }
}
