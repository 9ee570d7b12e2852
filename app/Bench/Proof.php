<?php

declare(strict_types=1);

namespace App\Bench;

use App\Channels\Channels;
use App\Channels\Profiles;
use App\Editions\Publish;
use App\Editions\Renderer;
use App\Models\Site;
use App\Pictures\Pictures;
use App\Sift\SiteSieve;
use Gnomic\Brief\Brief;
use Gnomic\Brief\Phrase;
use Gnomic\Brief\Sentence;
use Gnomic\Shape\Plan;
use Gnomic\Sift\Step;

/** Everything that the bench shows of a brief: sentence, widget, sieve and warnings, by the code that publishes. */
final readonly class Proof
{
    public function __construct(private SiteSieve $sieve, private Renderer $renderer, private Around $around, private Channels $channels, private Pictures $pictures, private Profiles $profiles, private Warnings $warnings)
    {
    }

    /**
     * @param  list<int>  $widths  CSS pixels
     * @return array<string, mixed>
     */
    public function of(Site $site, Brief $brief, string $name, array $widths): array
    {
        $around = $this->around->brief($site, $brief);
        $tally = $this->sieve->tally($site, $brief);
        $selection = $this->sieve->selection($site, $brief, Publish::seed($site->timezone), $tally);
        $overall = $tally->overall($brief);
        $shown = $this->profiles->on($site, $this->sieve->entries($site, $selection->shown));
        $plan = Plan::of($brief, $shown, $overall, $this->channels->saidAt($site), $site->zone(), $this->pictures->of($site, $shown));

        return [
            'brief' => $brief->toArray(),
            'sentence' => array_map(fn (Phrase $phrase): array => get_object_vars($phrase), Sentence::of($brief, $around)),
            'sieve' => array_map(fn (Step $step): array => get_object_vars($step), $selection->steps),
            'fragment' => $this->renderer->fragment($plan, $brief, $name),
            'across' => array_map(fn (int $width): array => ['width' => $width, 'across' => $plan->acrossAt($width)], $widths),
            'figures' => ['spread' => array_values($overall->spread), 'count' => $overall->count, 'mean' => $overall->shown()] + $tally->lacking($brief),
            'honestLine' => Plan::honestLine($brief),
            'warnings' => $this->warnings->of($brief, $selection, $around),
        ];
    }
}
