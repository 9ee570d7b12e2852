<?php

declare(strict_types=1);

namespace App\Fetching\Reading;

use App\Fetching\HttpResponse;
use Gnomic\Gather\Page\PageReading;
use Gnomic\Gather\Page\Sitemap;
use Gnomic\Gather\PayloadIsUnreadable;
use Gnomic\Gather\Reading;
use Gnomic\Json\Value;
use RuntimeException;
use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\PhpExecutableFinder;
use Symfony\Component\Process\Process;

/**
 * Reads what outside services answer in a process of its own, within bounds of time and memory: whatever a document does to its
 * reader, it does to itself alone, and is told like any other that cannot be read (CWE-400).
 */
final readonly class ConfinedReading
{
    public function __construct(private string $script, private float $seconds, private int $megabytes)
    {
    }

    /** The same for those who wait in front of a screen. */
    public function within(float $seconds): self
    {
        return new self($this->script, min($seconds, $this->seconds), $this->megabytes);
    }

    /** @throws PayloadIsUnreadable */
    public function feed(HttpResponse $response): Reading
    {
        $read = $this->read('feed', $response);

        return $read instanceof Reading ? $read : throw self::fault('feed');
    }

    /** @throws PayloadIsUnreadable */
    public function page(HttpResponse $response): PageReading
    {
        $read = $this->read('page', $response);

        return $read instanceof PageReading ? $read : throw self::fault('page');
    }

    /** @throws PayloadIsUnreadable */
    public function sitemap(HttpResponse $response): Sitemap
    {
        $read = $this->read('sitemap', $response);

        return $read instanceof Sitemap ? $read : throw self::fault('sitemap');
    }

    private function read(string $how, HttpResponse $response): mixed
    {
        $php = (new PhpExecutableFinder)->find(false);
        $process = new Process([
            $php === false ? 'php' : $php,
            '-d', "memory_limit={$this->megabytes}M",
            '-d', 'display_errors=stderr',
            $this->script,
            $how,
            (string) $response->header('Content-Type'),
            $response->address,
        ], input: $response->body);
        $process->setTimeout($this->seconds);
        try {
            $process->run();
        } catch (ProcessTimedOutException) {
            throw PayloadIsUnreadable::takesTooMuch(sprintf('%d seconds', (int) ceil($this->seconds)));
        }
        // Our own writing, of our own classes: nothing in it comes from outside but texts and numbers.
        $answer = $process->isSuccessful() ? unserialize($process->getOutput()) : null;
        if (! is_array($answer)) {
            throw str_contains($process->getErrorOutput(), 'memory') || $process->getExitCode() === 137
                ? PayloadIsUnreadable::takesTooMuch("$this->megabytes MB of memory")
                : new RuntimeException('A reader ended with status '.$process->getExitCode().': '
                    .mb_strimwidth($process->getErrorOutput(), 0, 2000, '…'));
        }

        return $answer['read'] ?? throw PayloadIsUnreadable::told(Value::text($answer['unreadable']), (bool) $answer['isPage']);
    }

    private static function fault(string $how): RuntimeException
    {
        return new RuntimeException("The reader of a $how gave something else.");
    }
}
