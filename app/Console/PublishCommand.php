<?php

declare(strict_types=1);

namespace App\Console;

use App\Editions\Publish;
use App\Models\Widget;
use Illuminate\Console\Command;
use InvalidArgumentException;

final class PublishCommand extends Command
{
    use TellsProblems;

    protected $signature = 'gnomic:publish {widget? : Key of a widget} {--all : Every widget that is out}';

    protected $description = 'Render what is out again over the entries as they are now';

    public function handle(Publish $publish): int
    {
        return $this->tell(function () use ($publish): void {
            $key = $this->argument('widget');
            if ($key === null && ! $this->option('all')) {
                throw new InvalidArgumentException('Name a widget, or say --all.');
            }
            $widgets = Widget::query()->when($key !== null, fn ($query) => $query->where('key', $key))->get();
            if ($widgets->isEmpty() && $key !== null) {
                throw new InvalidArgumentException("There is no widget \"$key\".");
            }
            foreach ($widgets as $widget) {
                $edition = $widget->edition === null && $key !== null ? $publish->draft($widget, 'By hand') : $publish->again($widget, 'By hand');
                $this->put("$widget->key: ".($edition === null ? 'nothing new' : "edition $edition->number")."\n");
            }
        });
    }
}
