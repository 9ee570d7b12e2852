<?php

declare(strict_types=1);

namespace App\Console;

use App\Fetching\Fetcher;
use App\Host\KnowsHost;
use Gnomic\Json\Value;
use Gnomic\Place\Check\CheckFinding;
use Gnomic\Place\Check\Expected;
use Gnomic\Place\Check\FetchedPage;
use Gnomic\Place\Check\PageCheck;
use Gnomic\Place\Check\PageTags;
use Gnomic\Text\Charset;
use Gnomic\Text\Words;
use Illuminate\Console\Command;

final class CheckCommand extends Command
{
    use KnowsHost;
    use TellsProblems;

    protected $signature = 'gnomic:check
        {page : Address of a page, or a file}
        {--from=https://localhost/ : Address that a file came from}
        {--header=* : Lines of headers that a file came with, "Content-Security-Policy: …"}
        {--host= : Of Gnomic; the one of this instance}
        {--key=* : Keys of widgets that should be there; those that are}
        {--site-key= : Of the site, for widgets that its own tag puts in}
        {--selector= : Where on the page it puts them}';

    protected $description = 'Tell whether widgets are on a page as a visitor would have it, and why not';

    public function handle(Fetcher $fetcher): int
    {
        return $this->tell(function () use ($fetcher): void {
            $host = rtrim(Words::filled($this->chosen('host')) ?? $this->host(), '/');
            $page = $this->page($fetcher);
            $tags = PageTags::of($page, $host);
            $there = array_map(fn ($tag): string => $tag->key, [...$tags->elements, ...$tags->frames]);
            $asked = Value::texts($this->option('key'));
            $keys = $asked === [] ? array_values(array_unique(array_filter($there, Words::isFilled(...)))) : $asked;
            $selector = $this->chosen('selector');
            $check = new PageCheck($host, $this->chosen('site-key'), known: $keys);
            foreach ($keys as $key) {
                $told = $check->of($tags, $page, new Expected($key, $key, [$key], $selector === '' ? null : $selector));
                $this->put(json_encode(
                    ['key' => $key, 'told' => array_map(fn (CheckFinding $one): array => $one->toArray(), $told)],
                    JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE,
                )."\n");
            }
        });
    }

    private function page(Fetcher $fetcher): FetchedPage
    {
        $page = $this->given('page');
        if (! is_file($page)) {
            $answer = $fetcher->get($page, ['Accept' => 'text/html']);
            $lines = fn (string $name): array => $answer->header($name) === null ? [] : [$answer->header($name)];

            return new FetchedPage(
                Charset::ofPage($answer->body, (string) $answer->header('Content-Type')),
                $answer->address,
                $lines('Content-Security-Policy'),
                $lines('Content-Security-Policy-Report-Only'),
            );
        }
        $headers = ['content-security-policy' => [], 'content-security-policy-report-only' => []];
        foreach (array_filter((array) $this->option('header'), is_string(...)) as $line) {
            [$name, $value] = array_map(trim(...), explode(':', $line, 2) + [1 => '']);
            $headers[strtolower($name)][] = $value;
        }

        return new FetchedPage(
            Charset::ofPage((string) file_get_contents($page), $headers['content-type'][0] ?? ''),
            $this->chosen('from'),
            $headers['content-security-policy'],
            $headers['content-security-policy-report-only'],
        );
    }
}
