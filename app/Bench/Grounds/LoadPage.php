<?php

declare(strict_types=1);

namespace App\Bench\Grounds;

use App\Fetching\Fetcher;
use App\Fetching\FetchFailed;
use Gnomic\Dress\Page\StyledPage;
use Gnomic\Text\Charset;
use InvalidArgumentException;

/** Brings a page of the owner's website, and its style sheets as they are asked for: bounded in time, size and number. */
final readonly class LoadPage
{
    /** Of a page, in bytes. */
    private const LARGEST = 4_000_000;

    /** Before the addresses of sheets that lie beside a file. */
    public const FILES = 'https://file.invalid';

    public function __construct(private Fetcher $fetcher)
    {
    }

    /**
     * @throws FetchFailed where it cannot be had
     * @throws InvalidArgumentException where it is no page
     */
    public function address(string $address): LoadedPage
    {
        $answer = $this->fetcher->within(LoadedPage::SECONDS)->get($address, ['Accept' => 'text/html,application/xhtml+xml']);
        $host = (string) parse_url($answer->address, PHP_URL_HOST);
        if (! $answer->isOk()) {
            throw FetchFailed::status($answer->status, $host, detail: match ($answer->status) {
                401, 403 => 'the page is behind a sign-in; give one that everybody can see, or paste a style sheet',
                404, 410 => 'there is no page at this address; check that it is spelled correctly',
                default => null,
            });
        }
        $type = strtolower((string) strtok((string) $answer->header('Content-Type'), ';'));
        if ($type !== '' && ! in_array(trim($type), ['text/html', 'application/xhtml+xml'], true)) {
            throw new InvalidArgumentException("$host sent no web page but ".trim($type).'. Give the address of a page.');
        }

        return $this->loaded($answer->body, $answer->address, (string) $answer->header('Content-Type'), null);
    }

    /** @param  string  $from  where it came from; empty: its sheets lie beside it */
    public function file(string $path, string $from = ''): LoadedPage
    {
        $html = (string) file_get_contents($path);

        return $this->loaded(
            $html,
            $from === '' ? self::FILES.(string) realpath($path) : $from,
            '',
            $from === '' ? dirname((string) realpath($path)) : null,
        );
    }

    /** @param  string|null  $folder  that sheets may be read from @throws InvalidArgumentException */
    private function loaded(string $html, string $address, string $type, ?string $folder): LoadedPage
    {
        if (strlen($html) > self::LARGEST) {
            throw new InvalidArgumentException(
                'The page is larger than '.(self::LARGEST / 1_000_000).' MB. Give another one of the same website.',
            );
        }
        $charset = preg_match('/charset=["\']?([\w-]+)/i', $type.' '.substr($html, 0, 2048), $found) === 1 ? $found[1] : null;

        return new LoadedPage(StyledPage::of(Charset::decoded($html, $charset)->text, $address), $this->fetcher, $folder);
    }
}
