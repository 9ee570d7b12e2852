<?php

declare(strict_types=1);

namespace App\Console;

use Gnomic\Brief\Brief;
use Illuminate\Console\Command;

final class SchemaCommand extends Command
{
    protected $signature = 'gnomic:schema {--write : Write it to core/Brief/brief.schema.json instead of printing it}';

    protected $description = 'Print the JSON Schema of briefs, as clauses and layouts make it';

    public function handle(): int
    {
        $schema = json_encode(
            Brief::schema(),
            JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE,
        )."\n";
        if ((bool) $this->option('write')) {
            file_put_contents(base_path('core/Brief/brief.schema.json'), $schema);
        } else {
            $this->output->write($schema, false, \Symfony\Component\Console\Output\OutputInterface::OUTPUT_RAW);
        }

        return self::SUCCESS;
    }
}
