<?php

declare(strict_types=1);

namespace App\Console;

use Closure;
use Gnomic\Failure;
use Gnomic\Gather\Problem;
use InvalidArgumentException;
use Symfony\Component\Console\Output\ConsoleOutputInterface;

/** Bad input ends a command with status 1 and one clear line on standard error. */
trait TellsProblems
{
    /** Of many problems, how many are told one by one. */
    private const TOLD = 20;

    /** @param  Closure(): void  $work */
    private function tell(Closure $work): int
    {
        try {
            $work();

            return self::SUCCESS;
        } catch (InvalidArgumentException|Failure $wrong) {
            $this->aside($wrong->getMessage());

            return self::FAILURE;
        }
    }

    /** @param  list<Problem>  $problems */
    private function tellAside(array $problems): void
    {
        foreach (array_slice($problems, 0, self::TOLD) as $problem) {
            $this->aside((string) $problem);
        }
        $more = count($problems) - self::TOLD;
        if ($more > 0) {
            $this->aside('... and '.number_format($more).' more like these, '.number_format(count($problems)).' in all.');
        }
    }

    private function aside(string $line): void
    {
        $output = $this->output->getOutput();
        $stream = $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output;
        $stream->writeln(preg_replace('/\s+/', ' ', $line) ?? $line, \Symfony\Component\Console\Output\OutputInterface::OUTPUT_RAW);
    }

    /** An argument as it was written; empty where there is none. */
    private function given(string $argument): string
    {
        $value = $this->argument($argument);

        return is_string($value) ? $value : '';
    }

    /** An option as it was written; empty where there is none. */
    private function chosen(string $option): string
    {
        $value = $this->option($option);

        return is_string($value) ? $value : '';
    }

    private function put(string $text): void
    {
        $this->output->write($text, false, \Symfony\Component\Console\Output\OutputInterface::OUTPUT_RAW);
    }
}
