<?php

declare(strict_types=1);

namespace App\Sources\Channels\Ticketwick;

use App\Fetching\FetchFailed;
use App\Models\Grant;
use App\Models\Source;
use App\Sources\Access\Granted;
use App\Sources\Channels\CacheValidators;
use App\Sources\Channels\Channel;
use App\Sources\Channels\Gathered;
use App\Sources\Channels\PublicAddress;
use Closure;
use Gnomic\Entry\Kind;
use Gnomic\Gather\Http\Links;
use Gnomic\Gather\Matching\Coverage;
use Gnomic\Gather\Reading;
use Gnomic\Gather\Records\Record;
use Gnomic\Gather\Records\TicketwickRatings;

/** Ticketwick, event tickets: the venues behind a grant, and what guests rated them, in pages told by Link (RFC 8288). */
final readonly class TicketwickChannel implements Channel
{
    private const MOST_PAGES = 200;

    public function __construct(private Granted $granted, private string $address)
    {
    }

    public function name(): string
    {
        return 'Ticketwick';
    }

    public function brings(): string
    {
        return 'ratings out of ten, with your replies, and the overall figures';
    }

    public function kind(): Kind
    {
        return Kind::Review;
    }

    public function saidAt(Source $source): string
    {
        return $this->name();
    }

    public function pageOf(Source $source): string
    {
        return "$this->address/venues/$source->address";
    }

    public function takesReviews(): bool
    {
        return true;
    }

    public function recognised(string $address): ?string
    {
        return PublicAddress::identifier($this->address, '/venues/([\w-]+)', $address);
    }

    public function isAsked(): bool
    {
        return true;
    }

    /**
     * @return list<array{id: string, name: string, detail: string}> what can be connected behind a grant
     *
     * @throws FetchFailed
     */
    public function choices(Grant $grant): array
    {
        $venues = Record::parsed($this->granted->get($grant, "$this->address/api/venues")->body, $this->name())->records('venues');
        $choices = [];
        foreach ($venues as $venue) {
            $overall = $venue->record('overall');
            $choices[] = ['id' => (string) $venue->text('venue_id'), 'name' => (string) $venue->text('name'),
                'detail' => ($venue->text('town') ?? '').(
                    $overall->number('score') === null
                        ? ', no ratings yet'
                        : ', '.$overall->number('score').' of 10 from '.$overall->int('ratings')
                )];
        }

        return $choices;
    }

    public function gather(Source $source, CacheValidators $since, Closure $progress): Gathered
    {
        $grant = $source->grant ?? throw FetchFailed::notGranted($this->name());
        $address = "$this->address/api/venues/".rawurlencode($source->address).'/ratings';
        $first = $answer = $this->granted->get($grant, $address, $since->headers());
        if ($answer->status === 304) {
            return new Gathered(null, Coverage::Whole, $since);
        }
        $reading = TicketwickRatings::read($answer->body);
        [$entries, $problems] = [$reading->entries, $reading->problems];
        $progress(count($entries));
        $next = Links::of($answer->header('Link'), 'next', $address);
        for ($pages = 1; $next !== null && $pages < self::MOST_PAGES; $pages++) {
            $answer = $this->granted->get($grant, $next);
            $page = TicketwickRatings::read($answer->body, count($entries));
            array_push($entries, ...$page->entries);
            array_push($problems, ...$page->problems);
            $progress(count($entries));
            $next = Links::of($answer->header('Link'), 'next', $next);
        }

        return new Gathered(new Reading(
            $reading->format,
            $entries,
            $problems,
            $reading->title,
        ), $next === null ? Coverage::Whole : Coverage::Newest,
            CacheValidators::from($first), TicketwickRatings::figures($first->body));
    }
}
