<?php

declare(strict_types=1);

namespace App\Bench;

use App\Editions\Contents;
use App\Editions\Renderer;
use App\Models\Site;
use App\Sift\SiteSieve;
use Gnomic\Brief\Brief;
use Gnomic\Brief\Phrase;
use Gnomic\Brief\Sentence;
use Gnomic\Sift\HonestLine;
use Gnomic\Sift\Step;
use Gnomic\Standing\Overall;

/** Everything that the bench shows of a brief: sentence, widget, sieve and warnings, by the code that publishes. */
final readonly class Proof
{
    public function __construct(private Renderer $renderer, private Around $around, private Contents $contents, private Warnings $warnings)
    {
    }

    /**
     * @param  list<int>  $widths  CSS pixels
     * @return array<string, mixed>
     */
    public function of(Site $site, Brief $brief, string $key, string $name, array $widths): array
    {
        $around = $this->around->brief($site, $brief);
        $sieve = SiteSieve::of($site, $brief, $around->circumstances);
        $selection = $sieve->selection();
        $content = $this->contents->of($site, $brief, $sieve, $selection->shown);
        $plan = $content->plan();

        return [
            'brief' => $brief->toArray(),
            'sentence' => array_map(fn (Phrase $phrase): array => get_object_vars($phrase), Sentence::of($brief, $around)),
            'sieve' => array_map(fn (Step $step): array => get_object_vars($step), $selection->steps),
            'fragment' => $this->renderer->fragment($content, $key, $name),
            'across' => array_map(fn (int $width): array => ['width' => $width, 'across' => $plan->acrossAt($width), 'cards' => $plan->cardsAt($width)], $widths),
            'figures' => self::figures($content->overall) + $sieve->tally()->lacking(),
            'honestLine' => HonestLine::each($brief, $around->circumstances, $content->overall->count)[0]->text ?? null,
            'warnings' => $this->warnings->of($site, $brief, $sieve, $selection, $around),
        ];
    }

    /** @return array<string, mixed> */
    public static function figures(Overall $overall): array
    {
        $rounded = fn (float $number): float => round($number, 2);

        return [
            'spread' => array_values($overall->spread),
            'count' => $overall->count,
            'mean' => $overall->shown(),
            'interval' => $overall->interval === null ? null : [$rounded(max(1.0, $overall->interval->lower)), $rounded(min(5.0, $overall->interval->upper))],
            'content' => $overall->count === 0 ? null : [$rounded($overall->content->lower), $rounded($overall->content->upper)],
            'sources' => $overall->sources,
            'since' => $overall->since,
        ];
    }
}
