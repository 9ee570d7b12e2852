<?php

declare(strict_types=1);

namespace App\People;

use App\Models\User;
use Carbon\CarbonImmutable;
use Gnomic\Json\Value;
use Illuminate\Contracts\Session\Session;
use Illuminate\Support\Facades\DB;

/** Where somebody is signed in: a line for each session, which can be ended from anywhere, and ends by itself some day. */
final readonly class Sessions
{
    /** What a session of the framework keeps of its line. */
    public const MARK = 'gnomic_sign_in';

    private const DAYS = 30;

    /** Seconds after which it is noted again that somebody is there. */
    private const NOTED = 300;

    public function begin(User $user, Session $session, string $agent): void
    {
        $mark = bin2hex(random_bytes(16));
        $session->put(self::MARK, $mark);
        DB::table('sign_ins')->where('ends_at', '<', now())->delete();
        DB::table('sign_ins')->insert([
            'user_id' => $user->id,
            'digest' => hash('sha256', $mark),
            'browser' => self::named($agent),
            'seen_at' => now(),
            'created_at' => now(),
            'ends_at' => now()->addDays(self::DAYS),
        ]);
    }

    /** Whether a session still holds. @phpstan-impure */
    public function holds(User $user, Session $session): bool
    {
        $row = DB::table('sign_ins')->where('user_id', $user->id)->where('digest', self::digest($session))->first();
        if ($row === null || CarbonImmutable::parse(Value::text($row->ends_at), 'UTC')->isPast()) {
            return false;
        }
        if (CarbonImmutable::parse(Value::text($row->seen_at), 'UTC')->diffInSeconds(now()) > self::NOTED) {
            DB::table('sign_ins')->where('id', $row->id)->update(['seen_at' => now()]);
        }

        return true;
    }

    /** @return list<array{id: int, browser: string, since: string, seen: string, ends: string, here: bool}> the latest first */
    public function of(User $user, Session $session): array
    {
        $here = self::digest($session);
        $time = fn (mixed $at): string => CarbonImmutable::parse(Value::text($at), 'UTC')->toRfc3339String();

        $rows = DB::table('sign_ins')->where('user_id', $user->id)->where('ends_at', '>', now());

        return array_values($rows->orderByDesc('seen_at')->limit(50)->get()
            ->map(fn (object $row): array => [
                'id' => Value::whole($row->id),
                'browser' => Value::text($row->browser),
                'since' => $time($row->created_at),
                'seen' => $time($row->seen_at),
                'ends' => $time($row->ends_at),
                'here' => Value::text($row->digest) === $here,
            ])->all());
    }

    /** Ends one, or all but this one. @return int how many */
    public function end(User $user, ?Session $kept, ?int $id = null): int
    {
        $query = DB::table('sign_ins')->where('user_id', $user->id);

        return $id !== null ? $query->where('id', $id)->delete()
            : $query->where('digest', '!=', $kept === null ? '' : self::digest($kept))->delete();
    }

    /** Signing out ends this one. */
    public function leave(User $user, Session $session): void
    {
        DB::table('sign_ins')->where('user_id', $user->id)->where('digest', self::digest($session))->delete();
    }

    private static function digest(Session $session): string
    {
        return hash('sha256', Value::text($session->get(self::MARK, '')));
    }

    /** "Firefox on Linux": enough to know one's own again. */
    private static function named(string $agent): string
    {
        $browser = self::first(
            $agent,
            ['Edge' => '/\bEdg/', 'Opera' => '/\bOPR/', 'Firefox' => '/Firefox/', 'Chrome' => '/Chrome|Chromium/', 'Safari' => '/Safari/'],
        );
        $system = self::first(
            $agent,
            [
                'Android' => '/Android/',
                'iPhone' => '/iPhone/',
                'iPad' => '/iPad/',
                'Windows' => '/Windows/',
                'Mac' => '/Macintosh/',
                'Linux' => '/Linux/',
            ],
        );

        return ($browser ?? 'A browser').($system === null ? '' : " on $system");
    }

    /** @param  array<string, string>  $names  an expression by name */
    private static function first(string $agent, array $names): ?string
    {
        foreach ($names as $name => $expression) {
            if (preg_match($expression, $agent) === 1) {
                return $name;
            }
        }

        return null;
    }
}
