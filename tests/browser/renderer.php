<?php

declare(strict_types=1);

// gnomic:render over and over, without starting anew for each. A line of standard input is a JSON list of arguments; what the command
// prints is followed by a zero byte, its status and a line feed.

use Illuminate\Contracts\Console\Kernel;
use Illuminate\Foundation\Application;
use Symfony\Component\Console\Input\ArgvInput;
use Symfony\Component\Console\Output\ConsoleOutput;
use Symfony\Component\Console\Output\OutputInterface;

require __DIR__.'/../../vendor/autoload.php';

/** @var Application $app */
$app = require __DIR__.'/../../bootstrap/app.php';
$kernel = $app->make(Kernel::class);
$output = new ConsoleOutput;

while (is_string($line = fgets(STDIN))) {
    set_time_limit(60); // of work: what waits for it waits for ever
    /** @var list<string> $arguments */
    $arguments = json_decode($line, true, flags: JSON_THROW_ON_ERROR);
    $status = $kernel->handle(new ArgvInput(['artisan', 'gnomic:render', ...$arguments]), $output);
    $output->write("\0$status\n", false, OutputInterface::OUTPUT_RAW);
}
