<?php

declare(strict_types=1);

namespace App\Sources\Channels\Corkwall;

use App\Fetching\Fetcher;
use App\Fetching\FetchFailed;
use App\Fetching\HttpResponse;
use App\Models\Site;
use App\Models\Source;
use App\Sources\Channels\CacheValidators;
use App\Sources\Channels\Channel;
use App\Sources\Channels\Gathered;
use App\Sources\Channels\PublicAddress;
use Carbon\CarbonImmutable;
use Closure;
use Gnomic\Entry\Kind;
use Gnomic\Gather\Matching\Coverage;
use Gnomic\Gather\Reading;
use Gnomic\Gather\Records\CorkwallPins;
use Gnomic\Gather\Records\Record;
use Gnomic\Tend\RetryAfter;

/** Corkwall, boards with pins: for those who copied a token from their settings there. */
final readonly class CorkwallChannel implements Channel
{
    private const MOST_PAGES = 100;

    public function __construct(private Fetcher $fetcher, private string $address)
    {
    }

    public function name(): string
    {
        return 'Corkwall';
    }

    public function brings(): string
    {
        return 'pins with pictures and notes';
    }

    public function kind(): Kind
    {
        return Kind::Post;
    }

    public function saidAt(Source $source): string
    {
        return $this->name();
    }

    public function pageOf(Source $source): ?string
    {
        return $source->home;
    }

    public function takesReviews(): bool
    {
        return false;
    }

    public function recognised(string $address): ?string
    {
        return PublicAddress::identifier($this->address, '/[\w-]+/([\w-]+)', $address)
            ?? PublicAddress::identifier($this->address, '/([\w-]+)', $address);
    }

    public function isAsked(): bool
    {
        return true;
    }

    /**
     * @return list<array{id: string, name: string, detail: string}>
     *
     * @throws FetchFailed also where the token is missing or refused
     */
    public function boards(Site $site): array
    {
        $boards = Record::parsed($this->get($site, '/api/boards')->body, $this->name())->records('boards');

        return array_map(fn (Record $board): array => ['id' => (string) $board->text('board_id'), 'name' => (string) $board->text('title'),
            'detail' => match ($board->int('pins')) {
                0 => 'no pins yet', 1 => 'one pin', default => $board->int('pins').' pins'
            }], $boards);
    }

    public function gather(Source $source, CacheValidators $since, Closure $progress): Gathered
    {
        $path = '/api/boards/'.rawurlencode($source->address).'/pins';
        $first = $this->get($source->site, $path, $since->headers());
        if ($first->status === 304) {
            return new Gathered(null, Coverage::Whole, $since);
        }
        [$reading, $pages] = CorkwallPins::read($first->body);
        $entries = $reading->entries;
        $progress(count($entries));
        for ($page = 2; $page <= min($pages, self::MOST_PAGES); $page++) {
            array_push($entries, ...CorkwallPins::read($this->get($source->site, "$path?page=$page")->body)[0]->entries);
            $progress(count($entries));
        }

        return new Gathered(
            new Reading($reading->format, $entries),
            $pages <= self::MOST_PAGES ? Coverage::Whole : Coverage::Newest,
            CacheValidators::from($first),
        );
    }

    /**
     * @param  array<string, string>  $headers
     *
     * @throws FetchFailed
     */
    private function get(Site $site, string $path, array $headers = []): HttpResponse
    {
        $token = $site->credentials()->where('channel', 'corkwall')->first()?->secret;
        if ($token === null) {
            throw FetchFailed::keyMissing('Corkwall', 'token');
        }
        $answer = $this->fetcher->get(
            $this->address.$path,
            $headers + ['Accept' => 'application/json', 'Authorization' => "Token $token"],
        );
        if ($answer->isOk() || $answer->status === 304) {
            return $answer;
        }
        throw FetchFailed::status($answer->status, 'Corkwall', RetryAfter::seconds(
            $answer->header('Retry-After'),
            CarbonImmutable::now(),
        ), match (
            Record::of(json_decode($answer->body, true))->record('error')
                ->text('code')
        ) {
            'token_unknown' => 'it does not recognise the token; copy it again from your settings there',
            'token_foreign' => 'this token is for another service; copy the one from your settings at Corkwall',
            'board_unknown' => 'the board no longer exists; choose one of your boards again',
            default => null,
        }, $answer->status === 401 ? 'token' : null);
    }
}
