<?php

declare(strict_types=1);

namespace App\Bench;

use App\Editions\Fragments;
use App\Editions\SiteLooks;
use App\Editions\Supplies;
use App\Models\EntryRecord;
use App\Models\Site;
use App\Models\Widget;
use App\Pictures\Pictures;
use Gnomic\Brief\Brief;
use Gnomic\Brief\Differences;
use Gnomic\Brief\Phrase;
use Gnomic\Brief\Sentence;
use Gnomic\Brief\SentenceContext;
use Gnomic\Edition\Advice\Doubts;
use Gnomic\Edition\Advice\DressAccount;
use Gnomic\Edition\Advice\Honesty;
use Gnomic\Edition\Advice\KnownOfSite;
use Gnomic\Edition\Input\Assembler;
use Gnomic\Edition\Input\Tried;
use Gnomic\Edition\Input\VariantInput;
use Gnomic\Edition\Plan\PlannedHeight;
use Gnomic\Edition\Plan\Room;
use Gnomic\Sift\Clauses;
use Gnomic\Sift\Clauses\ApartFrom;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Step;

/** Everything that the bench shows of a brief: sentence, widget, sieve and warnings, by the code that publishes. */
final readonly class Proof
{
    public function __construct(
        private Fragments $fragments,
        private SentenceContexts $contexts,
        private Supplies $supplies,
        private SiteLooks $looks,
        private Pictures $pictures,
    ) {
    }

    /**
     * @param  list<int>  $widths  CSS pixels
     * @return array<string, mixed>
     */
    public function of(Site $site, Brief $brief, string $key, array $widths): array
    {
        $context = $this->contexts->brief($site, $brief, $key);
        $tried = $this->tried($site, $brief, $context);
        $input = $tried->input;
        $plan = $this->fragments->plan($input, $key);
        $height = new PlannedHeight($plan);
        $room = Room::of($height->at(...));
        $out = $this->out($site, $key);

        return [
            'brief' => $brief->toArray(),
            'sentence' => array_map(fn (Phrase $phrase): array => get_object_vars($phrase), Sentence::of($brief, $context)),
            'sieve' => array_map(
                fn (Step $step): array => get_object_vars($step) + ['topic' => Clauses::topicOf($step->key)],
                $tried->selection->steps,
            ),
            'fragment' => $this->fragments->fragment($input, $plan, $key),
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
            'figures' => $input->chosen->overall->figures() + $tried->sifted->tally()->lacking(),
            'dress' => DressAccount::of($input, $this->looks->undressed($site, $brief)),
            'isNothing' => $plan->isNothing(),
            'room' => $room->length(),
            'moreRoom' => $out === null ? null : $this->moreRoom($site, $out, $input, $room),
            'changes' => $out === null ? [] : Differences::between($out, $brief, $context),
            // The owner reads the line in any case, to decide on it.
            'honestLine' => Honesty::line($brief, $tried->choices, $tried->offered, $input->words)?->text,
            'warnings' => Doubts::of($tried, $this->known($site, $brief)),
        ];
    }

    /** The widget alone, as it would be now. */
    public function fragment(Site $site, Brief $brief, string $key): string
    {
        $input = $this->tried($site, $brief)->input;

        return $this->fragments->fragment($input, $this->fragments->plan($input, $key), $key);
    }

    private function tried(Site $site, Brief $brief, ?SentenceContext $context = null): Tried
    {
        return (new Assembler($this->supplies->of($site, $context?->site)))->tried($brief);
    }

    /** What the site has of all that the brief names. */
    private function known(Site $site, Brief $brief): KnownOfSite
    {
        $looks = $this->looks->of($site);
        $widgets = ApartFrom::widgets($brief->criteria);
        $picture = $this->looks->undressed($site, $brief)->tokens->picture;
        $pinned = $brief->criteria->pins === [] ? [] : EntryRecord::ofRefs($site, $brief->criteria->pins);

        return new KnownOfSite(
            $site->spoken(),
            $looks,
            $widgets === [] ? [] : Widget::keysOf($site, $widgets),
            array_map(fn (EntryRecord $entry): Facts => $entry->facts(), $pinned),
            $picture === null ? null : $this->pictures->missing($site, $picture),
        );
    }

    /** What is published of the widget; null where nothing is. */
    private function out(Site $site, string $key): ?Brief
    {
        $widget = $site->widgets()->with('edition')->where('key', $key)->first();

        return $widget instanceof Widget ? $widget->edition?->toBrief() : null;
    }

    /** How much more room it takes than what is out, in CSS pixels. */
    private function moreRoom(Site $site, Brief $out, VariantInput $input, Room $room): int
    {
        // Looks have room of their own within and around cards.
        $isSame = fn (string $part): bool => $out->toArray()[$part] === $input->brief->toArray()[$part];

        return $isSame('shape') && $isSame('dress')
            ? 0
            : $room->moreThan(Room::of((new PlannedHeight($input->by($out, $this->looks->dressed($site, $out))->plan()))->at(...)));
    }
}
