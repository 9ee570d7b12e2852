<?php

declare(strict_types=1);

namespace Gnomic\Dress\Guard;

use Gnomic\Dress\Colour\Colour;
use Gnomic\Dress\Colour\ColourVision;
use Gnomic\Dress\Colour\Oklch;
use Gnomic\Dress\Palette;

/**
 * Looks at every pair of colours that has to be told apart, at the worst point of what is behind, and mends what fails by as little as
 * will do: the colour that lies over by its lightness; where cards are of another lightness than what is around them, on cards by itself;
 * where none is light or dark enough, first what is behind, by as little. What could be told stays as it was.
 */
final class Guard
{
    /** Halvings of the share by which what is behind is drawn together. */
    private const HALVINGS = 6;

    /** By how much lightness (OKLCH) a colour may move so that it is the same on cards and beside them. */
    private const TOGETHER = 0.12;

    /** And by how much it moves for certain where it seems to be as much. */
    private const TOO_FAR = 0.3;

    /** Of the contrast that is wanted, below which other eyes are spoken of. */
    private const SEEN = 0.8;

    /**
     * @param  'light'|'dark'  $scheme
     * @param  list<string>  $refused  tokens that stay as they are
     * @return array{Palette, list<ContrastFinding>} mended, and what was found
     */
    public static function mended(Palette $palette, string $scheme, array $refused = []): array
    {
        $refused = array_values(array_intersect(Palette::over(), $refused));
        $before = Scene::of($palette);
        $failing = $before->failing();
        if ($failing === []) {
            return [$palette, []];
        }
        [$scene, $findings] = self::behind($before, $scheme, array_values(array_diff($failing, $refused)), $failing);
        foreach ($failing as $token) {
            $isRefused = in_array($token, $refused, true);
            $scene = $isRefused || $scene->isTold($token) ? $scene : self::told($scene, $token);
            array_push($findings, ...self::found($before, $scene, $scheme, $token, $isRefused));
        }

        return [$scene->palette, $findings];
    }

    /** With one colour told from what is behind it: everywhere by the same lightness, or by another on cards if that changes less. */
    private static function told(Scene $scene, string $token): Scene
    {
        $was = $scene->palette->sure($token);
        $own = $scene->onCards($token);
        $isFar = $own !== null && Lightness::about($was, $scene->wanted($token)) > self::TOO_FAR;
        $one = $isFar ? null : Lightness::mended($was, $scene->wanted($token));
        $moved = $one === null ? INF : abs(Oklch::of($one)->lightness - Oklch::of($was)->lightness);
        if ($own !== null && $moved > self::TOGETHER) {
            $around = self::nearest($was, $scene->wanted($token, 'ground'));
            $within = self::nearest($was, $scene->wanted($token, 'surface'));
            if ($around !== null && $within !== null) {
                return $scene->with($token, $around->toHex())->with($own, $within->toHex());
            }
        }

        $one ??= Lightness::mended($was, $scene->wanted($token));

        return $one === null ? $scene : $scene->with($token, $one->toHex());
    }

    /** @param  list<array{Backdrop, float}>  $wanted */
    private static function nearest(Colour $colour, array $wanted): ?Colour
    {
        return Lightness::isTold($colour, $wanted) ? $colour : Lightness::mended($colour, $wanted);
    }

    /** @return list<string> tokens that cannot be distinguished from what is behind them somewhere */
    public static function failing(Palette $palette): array
    {
        return Scene::of($palette)->failing();
    }

    /** @return list<array{text: string, pair: Pair}> pairs that eyes of another kind can hardly tell apart */
    public static function byOtherEyes(Palette $palette): array
    {
        $warnings = [];
        $scene = Scene::of($palette);
        foreach (Pair::all() as $pair) {
            if ($pair->on === 'button' && $palette->colours['button'] === null) {
                continue;
            }
            $behind = $scene->backdrop($pair);
            foreach (ColourVision::cases() as $eyes) {
                $seen = fn (Colour $colour): Colour => $eyes->seen($colour);
                $over = $seen($scene->colour($pair));
                $contrast = min($over->contrastWith($seen($behind->darkest)), $over->contrastWith($seen($behind->lightest)));
                if ($contrast < $pair->least * self::SEEN) {
                    $warnings[] = [
                        'text' => ucfirst($pair->what).' can hardly be told from what is behind them '.$eyes->spoken().'.',
                        'pair' => $pair,
                    ];
                }
            }
        }

        return $warnings;
    }

    /**
     * What is behind, changed by as little as gives every colour that fails a lightness, and takes none from those that do not.
     *
     * @param  'light'|'dark'  $scheme
     * @param  list<string>  $open  those that fail and may be changed
     * @param  list<string>  $failing
     * @return array{Scene, list<ContrastFinding>}
     */
    private static function behind(Scene $scene, string $scheme, array $open, array $failing): array
    {
        if ($scene->isMendable($open)) {
            return [$scene, []];
        }
        $palette = $scene->palette;
        $passing = array_values(array_diff($scene->tokens(), $failing));
        $isGood = fn (Scene $tried): bool => $tried->isMendable($open)
            && array_filter($passing, fn (string $token): bool => ! $tried->isTold($token)) === [];
        [$lowest, $best] = [INF, $scene];
        foreach (self::ways($palette) as $way) {
            // A way that costs more than the best so far is not looked at further.
            $found = self::least(fn (float $share): Scene => $scene->over($way($share)), $isGood, min(1.0, $lowest));
            if ($found === null) {
                continue;
            }
            [$share, $tried] = $found;
            // What lies over had better keep its side: light on dark stays light on dark.
            $cost = $share + self::moved($tried, $open);
            if ($cost < $lowest) {
                [$lowest, $best] = [$cost, $tried];
            }
        }
        $mended = $best->palette;
        $findings = [];
        foreach (['ground', 'groundTo', 'surface'] as $token) {
            if ($mended->colours[$token] !== $palette->colours[$token]) {
                $findings[] = new ContrastFinding(
                    $scheme,
                    $token,
                    'No colour stands out from everything behind it: '.(
                        $token === 'surface'
                            ? 'cards come closer to the background colour'
                            : 'the background becomes less transparent, or changes less'
                    ),
                    null,
                    null,
                    $palette->colours[$token],
                    $mended->colours[$token],
                    null,
                    false,
                );
            }
        }

        return [$best, $findings];
    }

    /**
     * How far colours have to move then, in lightness, on average.
     *
     * @param  list<string>  $tokens
     */
    private static function moved(Scene $scene, array $tokens): float
    {
        $moved = 0.0;
        foreach ($tokens as $token) {
            $colour = $scene->palette->sure($token);
            $moved += $scene->isTold($token) ? 0.0 : Lightness::about($colour, $scene->wanted($token));
        }

        return $moved / max(1, count($tokens));
    }

    /**
     * Ways in which what is behind is drawn together, by a share from 0 (as it was) to 1 (all one colour).
     *
     * @return list<callable(float): Palette>
     */
    private static function ways(Palette $palette): array
    {
        $ground = Backdrop::ground($palette);
        $surface = $palette->sure('surface');
        $ways = [];
        // To a colour that is there already, nothing loses what it had.
        foreach ([$ground->darkest, $ground->lightest] as $target) {
            $toGround = function (float $share, Palette $on) use ($palette, $target): Palette {
                $own = $palette->sure('ground');
                $end = $palette->colour('groundTo');
                $to = fn (Colour $from): string => self::towards($from, $target, $share);

                return $on->with(['ground' => $to($own), 'groundTo' => $end === null ? null : $to($end)]);
            };
            $toSurface = fn (float $share, Palette $on): Palette => $on->with([
                'surface' => self::towards($surface, $target, $share),
            ]);
            $ways[] = fn (float $share): Palette => $toGround($share, $palette);
            if ($surface->alpha < 0.002) {
                continue;
            }
            $ways[] = fn (float $share): Palette => $toSurface($share, $palette);
            $ways[] = fn (float $share): Palette => $toSurface($share, $toGround($share, $palette));
        }

        return $ways;
    }

    /** Also what it lets through: at 1 nothing any more. */
    private static function towards(Colour $from, Colour $target, float $share): string
    {
        $alpha = $from->alpha + (1 - $from->alpha) * $share;
        // A colour that lets all through is none: what comes is the other alone.
        $own = $from->alpha < 0.002 ? $target : $target->mixed($from->withAlpha(1.0), $share);

        return $own->withAlpha($share >= 1.0 ? 1.0 : $alpha)->toHex();
    }

    /**
     * A share that is good, when a little less is not.
     *
     * @param  callable(float): Scene  $way
     * @param  callable(Scene): bool  $isGood
     * @param  float  $most  that another way needs: more is not looked at
     * @return array{float, Scene}|null with what is seen then
     */
    private static function least(callable $way, callable $isGood, float $most): ?array
    {
        $seen = $way($most);
        if (! $isGood($seen)) {
            return null;
        }
        [$bad, $good] = [0.0, $most];
        for ($halving = 0; $halving < self::HALVINGS; $halving++) {
            $middle = ($bad + $good) / 2;
            $tried = $way($middle);
            if ($isGood($tried)) {
                [$good, $seen] = [$middle, $tried];
            } else {
                $bad = $middle;
            }
        }

        return [$good, $seen];
    }

    /**
     * @param  'light'|'dark'  $scheme
     * @return list<ContrastFinding> one for each pair of the token that failed
     */
    private static function found(Scene $before, Scene $after, string $scheme, string $token, bool $isRefused): array
    {
        $found = [];
        foreach ($before->pairs($token) as $pair) {
            $was = $before->contrast($pair);
            if ($was < $pair->least) {
                $found[] = new ContrastFinding(
                    $scheme,
                    $token,
                    ucfirst($pair->what).' '.($pair->states === ['at rest'] ? '' : '('.implode(', ', $pair->states).') ')
                        .'cannot be distinguished from what is behind them',
                    $was,
                    $pair->least,
                    $before->palette->colours[$token],
                    $after->colour($pair)->toHex(),
                    $after->contrast($pair),
                    $isRefused,
                );
            }
        }

        return $found;
    }
}
