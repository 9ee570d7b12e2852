<?php

declare(strict_types=1);

namespace App\Placing\Counting;

use App\Models\Trial;
use App\Models\Widget;
use App\Outbox\Outbox;
use App\Placing\WidgetKeys;
use Gnomic\Brief\Brief;
use Gnomic\Json\Value;
use Gnomic\Place\Spot\Overrides;
use Gnomic\Place\Trial\TrialAccount;
use Illuminate\Support\Facades\DB;

/** Two versions of a widget against each other: visitors get one by chance, and each is counted by itself. */
final readonly class Trials
{
    public function __construct(private Outbox $outbox, private WidgetKeys $keys)
    {
    }

    public static function running(Widget $widget): ?Trial
    {
        $query = Trial::query();
        $query->where('widget_id', $widget->id)->whereNull('ended_at');
        $trial = $query->with(['widget', 'same', 'other'])->first();

        return $trial instanceof Trial ? $trial : null;
    }

    /** @return array<int, true> widgets of a site of which two versions are tried, by identifier */
    public static function runningAt(int $siteId): array
    {
        $ids = DB::table('trials')->where('site_id', $siteId)->whereNull('ended_at')->pluck('widget_id')->all();

        return array_fill_keys(Value::wholes($ids), true);
    }

    /** What is published, against what is on the bench. */
    public function begin(Widget $widget, Brief $published, Brief $other): Trial
    {
        return DB::transaction(function () use ($widget, $published, $other): Trial {
            $number = 1 + Trial::query()->where('widget_id', $widget->id)->count();
            // The first goes on following what is published; the other is as it is now.
            $same = $this->form($widget, "t$number", 'as published', $published, Overrides::none()->toArray());
            $against = $this->form($widget, "t$number.other", 'the other version', $other, null);
            $trial = Trial::query()->create([
                'site_id' => $widget->site_id,
                'widget_id' => $widget->id,
                'this_id' => $same->id,
                'other_id' => $against->id,
                'started_at' => now(),
            ]);
            $this->outbox->widget($same, $published, 'A trial began');
            $this->outbox->widget($against, $other, 'A trial began');
            $this->outbox->widget($widget, null, 'A trial began');

            return $trial;
        });
    }

    /** @param  'this'|'other'  $kept */
    public function end(Trial $trial, string $kept): void
    {
        DB::transaction(function () use ($trial, $kept): void {
            $account = self::account($trial);
            $trial->update(['ended_at' => now(), 'kept' => $kept, 'told' => $account->toArray()]);
            foreach ([$trial->same, $trial->other] as $form) {
                $form->update(['removed_at' => now()]);
            }
            if ($kept === 'other') {
                $trial->widget->update(['brief' => $trial->other->brief]);
            }
            $this->outbox->widget($trial->widget, $kept === 'other' ? $trial->other->draft() : null, $account->cause($kept));
        });
    }

    public static function account(Trial $trial): TrialAccount
    {
        $days = [];
        $counted = DB::table('counted')->whereIn('widget_id', [$trial->this_id, $trial->other_id])->groupBy('day', 'widget_id')
            ->orderBy('day')->get(['day', 'widget_id', DB::raw('SUM(views) AS views'), DB::raw('SUM(engaged) AS engaged')]);
        foreach ($counted as $row) {
            $arm = Value::whole($row->widget_id) === $trial->other_id ? 'other' : 'this';
            $days[Value::text($row->day)] ??= ['this' => [0, 0], 'other' => [0, 0]];
            $days[Value::text($row->day)][$arm] = [Value::whole($row->views), Value::whole($row->engaged)];
        }

        return TrialAccount::over(array_values($days));
    }

    /** @param  array<string, mixed>|null  $overrides */
    private function form(Widget $widget, string $variant, string $about, Brief $brief, ?array $overrides): Widget
    {
        return $widget->forms()->create([
            'site_id' => $widget->site_id,
            'key' => $this->keys->new(),
            'name' => mb_strimwidth("$widget->name, $about", 0, 100, '…'),
            'brief' => $brief->toArray(),
            'variant' => $variant,
            'overrides' => $overrides,
        ]);
    }
}
