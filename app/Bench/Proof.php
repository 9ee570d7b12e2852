<?php

declare(strict_types=1);

namespace App\Bench;

use App\Editions\Content;
use App\Editions\Contents;
use App\Editions\Everything;
use App\Editions\Further;
use App\Editions\Renderer;
use App\Editions\Wanted;
use App\Models\Site;
use App\Models\Widget;
use App\Sift\SiteSieve;
use Gnomic\Brief\Brief;
use Gnomic\Brief\Phrase;
use Gnomic\Brief\Sentence;
use Gnomic\Edition\Honesty;
use Gnomic\Edition\PlannedHeight;
use Gnomic\Edition\Room;
use Gnomic\Sift\Clauses;
use Gnomic\Sift\Step;
use Gnomic\Standing\Overall;

/** Everything that the bench shows of a brief: sentence, widget, sieve and warnings, by the code that publishes. */
final readonly class Proof
{
    public function __construct(
        private Renderer $renderer,
        private SentenceContexts $contexts,
        private Contents $contents,
        private Warnings $warnings,
    ) {
    }

    /**
     * @param  list<int>  $widths  CSS pixels
     * @return array<string, mixed>
     */
    public function of(Site $site, Brief $brief, string $key, array $widths): array
    {
        $tried = $this->tried($site, $brief, $key);
        [$sieve, $selection, $content] = [$tried->sieve, $tried->selection, $tried->content];
        $plan = $this->renderer->plan($content, $key);
        $height = new PlannedHeight($plan);
        $room = Room::of($height->at(...));

        return [
            'brief' => $brief->toArray(),
            'sentence' => array_map(fn (Phrase $phrase): array => get_object_vars($phrase), Sentence::of($brief, $tried->context)),
            'sieve' => array_map(
                fn (Step $step): array => get_object_vars($step) + ['topic' => Clauses::topicOf($step->key)],
                $selection->steps,
            ),
            'fragment' => $this->renderer->fragment($content, $plan, $key),
            'across' => array_map(
                fn (int $width): array => [
                    'width' => $width,
                    'across' => $plan->at($plan->unscaled($width))->arrangement->columns,
                    'cards' => $plan->at($plan->unscaled($width))->arrangement->cards,
                    'rows' => $plan->rowsAt($plan->unscaled($width)),
                    'height' => (int) ceil($height->at($width)),
                    'why' => $plan->why($plan->unscaled($width)),
                ],
                $widths,
            ),
            'figures' => self::figures($content->overall) + $sieve->tally()->lacking(),
            'dress' => DressAccount::of($content, $this->contents->undressed($site, $brief)),
            'isNothing' => $plan->isNothing(),
            'room' => $room->length(),
            'moreRoom' => $this->moreRoom($site, $key, $content, $room),
            // The owner reads the line in any case, to decide on it.
            'honestLine' => Honesty::line($brief, $tried->choices, $tried->offered, $content->words)?->text,
            'warnings' => $this->warnings->of($site, $tried),
        ];
    }

    /** The widget alone, as it would be now. */
    public function fragment(Site $site, Brief $brief, string $key): string
    {
        $content = $this->tried($site, $brief)->content;

        return $this->renderer->fragment($content, $this->renderer->plan($content, $key), $key);
    }

    private function tried(Site $site, Brief $brief, ?string $key = null): Tried
    {
        $context = $this->contexts->brief($site, $brief, $key);
        $sieve = SiteSieve::of($site, $brief->criteria, $context->site);
        $selection = $sieve->selection();
        $choices = Honesty::choices($brief, $context->site, $selection);
        $offered = $choices === [] && ! $brief->shape->leadsToEverything() ? 0 : Everything::of($site, $brief, $sieve)->offered();
        $language = $site->spoken()[0];
        $wanted = new Wanted(
            $brief,
            $sieve,
            $selection->shown,
            $language,
            $brief->shape->honest ? $choices : [],
            $offered,
            Further::refs($sieve, $brief, $selection->shown),
        );

        return new Tried($context, $sieve, $selection, $choices, $offered, $this->contents->of($site, $wanted));
    }

    /** How much more room it takes than what is out, in CSS pixels; null where nothing is out. */
    private function moreRoom(Site $site, string $key, Content $content, Room $room): ?int
    {
        $widget = $site->widgets()->with('edition')->where('key', $key)->first();
        $out = $widget instanceof Widget ? $widget->edition?->toBrief() : null;
        if ($out === null) {
            return null;
        }

        // Looks have room of their own within and around cards.
        $isSame = fn (string $part): bool => $out->toArray()[$part] === $content->brief->toArray()[$part];

        return $isSame('shape') && $isSame('dress')
            ? 0
            : $room->moreThan(Room::of((new PlannedHeight($this->contents->dressed($site, $content->as($out))->plan()))->at(...)));
    }

    /** @return array<string, mixed> */
    public static function figures(Overall $overall): array
    {
        $rounded = fn (float $number): float => round($number, 2);

        return [
            'spread' => array_values($overall->spread),
            'count' => $overall->count,
            'mean' => $overall->shown(),
            'interval' => $overall->interval === null
                ? null
                : [$rounded(max(1.0, $overall->interval->lower)), $rounded(min(5.0, $overall->interval->upper))],
            'content' => $overall->count === 0 ? null : [$rounded($overall->content->lower), $rounded($overall->content->upper)],
            'sources' => $overall->sources,
            'since' => $overall->since,
        ];
    }
}
