<?php

declare(strict_types=1);

namespace App\Console;

use Gnomic\Place\Pattern\PathPattern;
use Illuminate\Console\Command;
use Illuminate\Support\Arr;

final class PatternCommand extends Command
{
    use TellsProblems;

    protected $signature = 'gnomic:pattern {pattern : Of paths} {path?* : Paths that are asked}';

    protected $description = 'Tell which paths a pattern fits, and how scripts are told of it';

    public function handle(): int
    {
        return $this->tell(function (): void {
            $pattern = PathPattern::of($this->given('pattern'));
            $fits = [];
            foreach (Arr::wrap($this->argument('path')) as $path) {
                $fits[(string) $path] = $pattern->matches((string) $path);
            }
            $this->put(json_encode(
                [
                    'pattern' => $pattern->pattern,
                    'expression' => $pattern->source(),
                    'compiled' => $pattern->compiled(),
                    'fits' => (object) $fits,
                ],
                JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE,
            )."\n");
        });
    }
}
