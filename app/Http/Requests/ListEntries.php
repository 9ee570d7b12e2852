<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Entries\Listing\Listing;
use App\Models\Site;
use Gnomic\Brief\BriefIsWrong;
use Gnomic\Json\JsonIsBroken;
use Gnomic\Json\JsonText;
use Gnomic\Json\MemberIsWrong;
use Gnomic\Sift\Criteria;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use stdClass;

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

        return new Listing(
            $site,
            $this->wanted(),
            is_string($state) && $state !== '' ? $state : null,
            $this->string('search')->toString(),
        );
    }

    /** @throws BriefIsWrong */
    public function wanted(): Criteria
    {
        $wanted = $this->string('wanted')->toString();
        try {
            $json = $wanted === '' ? new stdClass : JsonText::decode($wanted, objects: true);
            if (! $json instanceof stdClass) {
                throw MemberIsWrong::at('/', 'an object', $json);
            }

            return Criteria::read($json->gather ?? [], $json->sift ?? []);
        } catch (MemberIsWrong $wrong) {
            throw BriefIsWrong::at($wrong);
        } catch (JsonIsBroken $wrong) {
            throw BriefIsWrong::syntax($wrong->getMessage());
        }
    }
}
