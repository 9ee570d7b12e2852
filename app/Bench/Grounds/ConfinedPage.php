<?php

declare(strict_types=1);

namespace App\Bench\Grounds;

use App\Fetching\FetchFailed;
use Gnomic\Json\Value;
use InvalidArgumentException;
use Symfony\Component\Process\Exception\ProcessSignaledException;
use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\ExecutableFinder;
use Symfony\Component\Process\PhpExecutableFinder;
use Symfony\Component\Process\Process;

/**
 * Reads the look of a page in a process of its own, within bounds of time and memory: whatever its style sheets do to their reader, they
 * do to that one alone (CWE-400).
 */
final readonly class ConfinedPage
{
    private const CPU_SECONDS = 10;

    /** What of its own settings the process has to go by. */
    private const SETTINGS = ['GNOMIC_FETCH_SECONDS' => 'fetch.seconds', 'GNOMIC_FETCH_BYTES' => 'fetch.bytes'];

    public function __construct(private string $artisan, private float $seconds, private int $megabytes)
    {
    }

    /**
     * @param  string  $css  pasted by the owner where the page says too little
     * @return array{html: string|null, matched: array<string, mixed>}
     *
     * @throws FetchFailed where it cannot be had
     * @throws InvalidArgumentException where it is no page, or takes too much to read
     */
    public function read(string $address, string $css): array
    {
        $php = (new PhpExecutableFinder)->find(false);
        $settings = array_map(fn (string $name): string => Value::text(config("gnomic.$name")), self::SETTINGS);
        // Waiting for the website is not what makes a page costly: what is reckoned is counted by the system itself.
        $bound = (new ExecutableFinder)->find('prlimit');
        $process = new Process(
            [
                ...($bound === null ? [] : [$bound, '--cpu='.self::CPU_SECONDS]),
                $php === false ? 'php' : $php,
                '-d',
                "memory_limit={$this->megabytes}M",
                '-d',
                'display_errors=stderr',
                $this->artisan,
                'gnomic:read-ground',
            ],
            null,
            $settings + ['GNOMIC_PRIVATE_HOSTS' => implode(',', Value::texts(config('gnomic.private_hosts')))],
            json_encode(compact('address', 'css'), JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE),
            $this->seconds,
        );
        try {
            $process->run();
        } catch (ProcessSignaledException) {
            throw self::tooMuch(self::CPU_SECONDS.' seconds of computing');
        } catch (ProcessTimedOutException) {
            throw self::tooMuch(sprintf('%d seconds', (int) ceil($this->seconds)));
        }
        $answer = json_decode($process->getOutput(), true);
        if (! $process->isSuccessful() || ! is_array($answer)) {
            throw self::tooMuch(
                str_contains($process->getErrorOutput(), 'memory')
                    ? "$this->megabytes MB of memory" : self::CPU_SECONDS.' seconds of computing',
            );
        }
        if (is_string($answer['failed'] ?? null)) {
            throw ($answer['isFetch'] ?? false) === true
                ? FetchFailed::told($answer['failed']) : new InvalidArgumentException($answer['failed']);
        }
        $html = $answer['html'] ?? null;

        return ['html' => is_string($html) ? $html : null, 'matched' => Value::members($answer['matched'] ?? [])];
    }

    private static function tooMuch(string $what): InvalidArgumentException
    {
        return new InvalidArgumentException(
            "Reading this page takes more than $what. "
                .'Give another page of the same website, or paste the part of its style sheet that matters.',
        );
    }
}
