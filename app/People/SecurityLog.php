<?php

declare(strict_types=1);

namespace App\People;

use Carbon\CarbonImmutable;
use Gnomic\Json\Value;
use Illuminate\Support\Facades\DB;

/** What has happened that an owner wants to know of whom else has been here: kept for a year, without addresses of networks. */
final readonly class SecurityLog
{
    private const DAYS = 365;

    /** Guesses within so many minutes are one line. */
    private const TOGETHER = 60;

    private const SHOWN = 100;

    /**
     * @param  string  $what  a sentence without its subject: "signed in with Firefox on Linux"
     * @param  bool  $isAlike  whether the like of it is counted with what came just before
     */
    public function note(?int $user, string $kind, string $what, bool $isAlike = false): void
    {
        if ($user === null) {
            return;
        }
        $now = CarbonImmutable::now();
        $before = $isAlike ? DB::table('security_events')->where('user_id', $user)->where('kind', $kind)
            ->where('created_at', '>', $now->subMinutes(self::TOGETHER))->orderByDesc('id')->first() : null;
        if ($before !== null) {
            DB::table('security_events')->where('id', $before->id)->update(['times' => Value::whole($before->times) + 1]);

            return;
        }
        DB::table('security_events')->insert(
            ['user_id' => $user, 'kind' => $kind, 'what' => mb_strimwidth($what, 0, 200, '…'), 'times' => 1, 'created_at' => $now],
        );
        DB::table('security_events')->where('created_at', '<', $now->subDays(self::DAYS))->delete();
    }

    /** @return list<array{kind: string, what: string, times: int, at: string}> the latest first */
    public function of(int $user): array
    {
        $rows = DB::table('security_events')->where('user_id', $user)->orderByDesc('id')->limit(self::SHOWN)->get();

        return array_values($rows->map(fn (object $row): array => [
            'kind' => Value::text($row->kind),
            'what' => Value::text($row->what),
            'times' => Value::whole($row->times),
            'at' => CarbonImmutable::parse(Value::text($row->created_at), 'UTC')->toRfc3339String(),
        ])->all());
    }
}
