<?php

declare(strict_types=1);

namespace App\Console;

use App\Fetching\Fetcher;
use App\Fetching\FetchFailed;
use App\Fetching\HttpResponse;
use DateTimeZone;
use Gnomic\Gather\Feed\FeedReader;
use Gnomic\Gather\Language\Languages;
use Gnomic\Gather\Page\PageReader;
use Gnomic\Gather\PayloadIsUnreadable;
use Gnomic\Gather\Reading;
use Gnomic\Gather\Tables\DateOrder;
use Gnomic\Gather\Tables\EntryRows;
use Gnomic\Gather\Tables\TableReader;
use Illuminate\Console\Command;
use InvalidArgumentException;

final class ReadCommand extends Command
{
    use TellsProblems;

    protected $signature = 'gnomic:read
        {from : A file, an address, or - for standard input}
        {--as=auto : auto, feed, page, table or json (JSON Lines of entries)}
        {--dates= : For tables whose dates in figures fit both: "day first" or "month first"}
        {--from= : The address that relative links are resolved against}';

    protected $description = 'Print the entries of a feed, a page, a table or JSON Lines, normalised, one a line';

    public function handle(Fetcher $fetcher): int
    {
        return $this->tell(function () use ($fetcher): void {
            $from = $this->given('from');
            $answer = preg_match('~^https?://~i', $from) === 1 ? $this->fetched($fetcher, $from) : null;
            $bytes = $answer === null ? Inputs::contents($from) : $answer->body;
            $address = $this->option('from');
            $reading = $this->read($bytes, $answer?->header('Content-Type'), is_string($address) ? $address : $answer?->address);
            foreach ($reading->entries as $entry) {
                $this->put(Lines::write(Languages::filled($entry))."\n");
            }
            $this->tellAside($reading->problems);
        });
    }

    private function fetched(Fetcher $fetcher, string $address): HttpResponse
    {
        $answer = $fetcher->get($address);

        return $answer->isOk() ? $answer : throw FetchFailed::status($answer->status, (string) parse_url($address, PHP_URL_HOST));
    }

    private function read(string $bytes, ?string $type, ?string $address): Reading
    {
        return match ($this->option('as')) {
            'feed' => FeedReader::read($bytes, $type, $address),
            'page' => PageReader::entries($bytes, $type, $address),
            'table' => $this->fromTable($bytes),
            'json' => Lines::read($bytes),
            'auto' => $this->guessed($bytes, $type, $address),
            default => throw new InvalidArgumentException('--as is auto, feed, page, table or json.'),
        };
    }

    private function guessed(string $bytes, ?string $type, ?string $address): Reading
    {
        if ($this->isJsonLines($bytes)) {
            return Lines::read($bytes);
        }
        if (TableReader::isLikely($bytes)) {
            return $this->fromTable($bytes);
        }
        try {
            return FeedReader::read($bytes, $type, $address);
        } catch (PayloadIsUnreadable $notAFeed) {
            $page = preg_match(
                '/<(?:!doctype html|html|head|body|div|script|article|section|main|meta|span|p)\b/i',
                substr($bytes, 0, 20_000),
            ) === 1
                ? PageReader::read($bytes, $type, $address)->reading : null;

            return $page === null || $page->entries === [] ? throw $notAFeed : $page;
        }
    }

    private function fromTable(string $bytes): Reading
    {
        $order = $this->chosen('dates');

        return EntryRows::reading(TableReader::read($bytes), new DateTimeZone('UTC'), $order === '' ? null
            : (DateOrder::tryFrom($order) ?? throw new InvalidArgumentException('--dates is "day first" or "month first".')));
    }

    /** The first line is an object by itself, and it is no feed. */
    private function isJsonLines(string $bytes): bool
    {
        $first = strtok(ltrim($bytes), "\n");
        $value = $first === false || $first[0] !== '{' ? null : json_decode($first, true);

        return is_array($value) && ! isset($value['items']);
    }
}
