<?php

declare(strict_types=1);

namespace App\Console;

use Illuminate\Foundation\Exceptions\Handler;
use Symfony\Component\Console\Exception\ExceptionInterface;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Throwable;

/** What goes wrong with a command belongs on standard error: standard output is for what was asked. */
final class ErrorsAside extends Handler
{
    /** @param  OutputInterface  $output */
    public function renderForConsole($output, Throwable $e): void
    {
        $aside = $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output;
        if ($e instanceof ExceptionInterface) {
            $aside->writeln(trim((string) preg_replace('/\s+/', ' ', $e->getMessage())), OutputInterface::OUTPUT_RAW);
        } else {
            parent::renderForConsole($aside, $e);
        }
    }
}
