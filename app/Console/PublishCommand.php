<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\Site;
use App\Models\Widget;
use App\Outbox\Outbox;
use App\Outbox\Renders;
use App\Placing\SiteScript;
use Illuminate\Console\Command;
use InvalidArgumentException;

final class PublishCommand extends Command
{
    use TellsProblems;

    protected $signature = 'gnomic:publish {widget? : Key of a widget} {--all : Every widget that is out}';

    protected $description = 'Bring what is out up to date with the entries as they are now';

    public function handle(Outbox $outbox, Renders $editions, SiteScript $script): int
    {
        return $this->tell(function () use ($outbox, $editions, $script): void {
            $key = $this->given('widget');
            if ($key === '' && ! $this->option('all')) {
                throw new InvalidArgumentException('Name a widget, or say --all.');
            }
            $widgets = Widget::query()->when($key !== '', fn ($query) => $query->where('key', $key))->get();
            if ($widgets->isEmpty() && $key !== '') {
                throw new InvalidArgumentException("There is no widget \"$key\".");
            }
            foreach ($key === '' ? Site::query()->get() : [] as $site) {
                $script->write($site);
            }
            foreach ($widgets as $widget) {
                $before = $widget->edition_id;
                // One that was never out goes out only where it is named.
                if ($before !== null || $key !== '') {
                    $outbox->widget($widget, $before === null ? $widget->draft() : null, 'By hand');
                    $editions->workOff($widget->site_id);
                }
                $edition = $widget->refresh()->edition;
                $this->put(
                    "$widget->key: "
                        .($edition === null || $edition->id === $before ? 'nothing new' : "edition $edition->number")
                        ."\n",
                );
            }
        });
    }
}
