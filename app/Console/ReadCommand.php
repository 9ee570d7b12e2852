<?php

declare(strict_types=1);

namespace App\Console;

use App\Fetching\Answer;
use App\Fetching\Fetcher;
use App\Fetching\FetchFailed;
use Gnomic\Gather\Feed\FeedReader;
use Gnomic\Gather\Reading;
use Illuminate\Console\Command;
use InvalidArgumentException;

final class ReadCommand extends Command
{
    use TellsProblems;

    protected $signature = 'gnomic:read
        {from : A file, an address, or - for standard input}
        {--as=auto : auto, feed or json (JSON Lines of entries)}
        {--from= : The address that relative links are resolved against}';

    protected $description = 'Print the entries of a feed or of JSON Lines, normalised, one a line';

    public function handle(Fetcher $fetcher): int
    {
        return $this->tell(function () use ($fetcher): void {
            $from = (string) $this->argument('from');
            $answer = preg_match('~^https?://~i', $from) === 1 ? $this->fetched($fetcher, $from) : null;
            $bytes = $answer === null ? Inputs::contents($from) : $answer->body;
            $address = $this->option('from');
            $reading = $this->read($bytes, $answer?->header('Content-Type'), is_string($address) ? $address : $answer?->address);
            foreach ($reading->entries as $entry) {
                $this->put(Lines::write($entry)."\n");
            }
            $this->tellAside($reading->problems);
        });
    }

    private function fetched(Fetcher $fetcher, string $address): Answer
    {
        $answer = $fetcher->get($address);

        return $answer->isOk() ? $answer : throw FetchFailed::status($answer->status, (string) parse_url($address, PHP_URL_HOST));
    }

    private function read(string $bytes, ?string $type, ?string $address): Reading
    {
        return match ($this->option('as')) {
            'feed' => FeedReader::read($bytes, $type, $address),
            'json' => Lines::read($bytes),
            'auto' => $this->isJsonLines($bytes) ? Lines::read($bytes) : FeedReader::read($bytes, $type, $address),
            default => throw new InvalidArgumentException('--as is auto, feed or json.'),
        };
    }

    /** The first line is an object by itself, and it is no feed. */
    private function isJsonLines(string $bytes): bool
    {
        $first = strtok(ltrim($bytes), "\n");
        $value = $first === false || $first[0] !== '{' ? null : json_decode($first, true);

        return is_array($value) && ! isset($value['items']);
    }
}
