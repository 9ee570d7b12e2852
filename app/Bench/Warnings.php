<?php

declare(strict_types=1);

namespace App\Bench;

use App\Editions\Content;
use App\Editions\SiteLooks;
use App\Models\EntryRecord;
use App\Models\Site;
use App\Models\Widget;
use App\Pictures\Pictures;
use App\Sift\SiteSieve;
use Gnomic\Brief\Brief;
use Gnomic\Brief\Doubts;
use Gnomic\Dress\Guard\Finding;
use Gnomic\Edition\Variants;
use Gnomic\Entry\Entry;
use Gnomic\Shape\Click;
use Gnomic\Sift\Clauses;
use Gnomic\Sift\Clauses\ApartFrom;
use Gnomic\Sift\Clauses\InLanguages;
use Gnomic\Sift\Clauses\Stars;
use Gnomic\Sift\Clauses\WithLabels;
use Gnomic\Sift\Selection;
use Gnomic\Sift\Sieve;
use Gnomic\Text\Numbers;

/**
 * What the owner should know before a brief goes out, each with the phrase of the sentence that mends it, and where one
 * press mends it, with the brief that this gives.
 */
final readonly class Warnings
{
    /** Seconds of a card: fewer are too few, and those that suit most people. */
    private const LEAST_SECONDS = 3;

    private const COMFORTABLE = 5;

    public function __construct(private Repairs $repairs, private SiteLooks $looks, private Pictures $pictures)
    {
    }

    /** @return list<array{key: string, text: string, repairs: list<array{text: string, brief: array<string, mixed>}>}> */
    public function of(Site $site, Tried $tried): array
    {
        [$brief, $sieve, $selection] = [$tried->content->brief, $tried->sieve, $tried->selection];
        $warnings = array_values(array_filter([
            $this->nothingLeft($site, $brief, $sieve, $selection),
            $this->onlyPraise($brief),
            ...Doubts::about($brief->criteria),
            $this->tooFast($brief),
            $this->withoutPictures($tried->content),
            $this->notReadOn($tried->content),
            $this->leadsNowhere($brief),
            $this->unknownSources($brief, $sieve),
            $this->unknownWidgets($site, $brief),
            $this->pinsNotShown($site, $brief, $sieve),
            $this->unknownLook($site, $brief),
            $this->withoutGround($site, $brief),
            $this->unreadable($tried->content),
            $this->noRoomForPages($site, $brief, $sieve),
        ]));

        return array_map(
            fn (array $warning): array => ['key' => $warning['key'], 'text' => $warning['text'], 'repairs' => $warning['repairs'] ?? []],
            $warnings,
        );
    }

    /** @return array{key: string, text: string, repairs?: list<array{text: string, brief: array<string, mixed>}>}|null */
    private function nothingLeft(Site $site, Brief $brief, SiteSieve $sieve, Selection $selection): ?array
    {
        if ($selection->shown !== []) {
            return null;
        }
        foreach ($selection->steps as $step) {
            if ($step->kept === 0) {
                return $step->key === 'collected'
                    ? ['key' => 'sources', 'text' => 'Nothing has been collected yet. Connect a source first.']
                    : [
                        'key' => Clauses::topicOf($step->key),
                        'text' => "Nothing is left: \"$step->phrase\" kept out the last ".number_format($step->dropped).'.',
                        'repairs' => $this->repairs->of($site, $brief, $sieve),
                    ];
            }
        }

        return null;
    }

    /** @return array{key: string, text: string, repairs: list<array{text: string, brief: array<string, mixed>}>}|null */
    private function onlyPraise(Brief $brief): ?array
    {
        if ($brief->shape->honest || (Stars::wanted($brief->criteria)?->least() ?? 1.0) < 3.0) {
            return null;
        }
        $honest = $brief->with(shape: $brief->shape->with(['honest' => true]));

        return [
            'key' => 'head',
            'text' => 'Visitors would see only praise, and nothing would tell them that it is a selection.',
            'repairs' => [['text' => 'Say that it is a selection', 'brief' => $honest->toArray()]],
        ];
    }

    /** @return array{key: string, text: string, repairs: list<array{text: string, brief: array<string, mixed>}>}|null */
    private function tooFast(Brief $brief): ?array
    {
        $layout = $brief->shape->toArray()['layout'];
        if (($brief->shape->layout->seconds() ?? self::COMFORTABLE) >= self::LEAST_SECONDS || ! is_array($layout)) {
            return null;
        }
        $slower = $brief->with(shape: $brief->shape->with(['layout' => ['autoplay' => self::COMFORTABLE] + $layout]));

        return [
            'key' => 'layout',
            'text' => 'It moves on before most people have read a card.',
            'repairs' => [['text' => 'Every five seconds', 'brief' => $slower->toArray()]],
        ];
    }

    /** @return array{key: string, text: string}|null */
    private function withoutPictures(Content $content): ?array
    {
        $with = array_filter($content->shown, fn (Entry $entry): bool => $entry->media !== []);

        return ! $content->brief->shape->hasTiles() || $content->shown === [] || $with !== [] ? null : [
            'key' => 'layout',
            'text' => 'None of these has a picture. They stand as words; a layout made for reading serves them better.',
        ];
    }

    /** @return array{key: string, text: string, repairs: list<array{text: string, brief: array<string, mixed>}>}|null */
    private function notReadOn(Content $content): ?array
    {
        $brief = $content->brief;
        $said = array_filter($content->shown, fn (Entry $entry): bool => trim($entry->text) !== '');
        if (! $brief->shape->hasTiles() || $brief->shape->click !== Click::Nothing || $said === []) {
            return null;
        }

        return [
            'key' => 'layout',
            'text' => 'Tiles have little room for words, and a click does nothing: what is cut off cannot be read on.',
            'repairs' => [[
                'text' => 'Enlarge what is clicked',
                'brief' => $brief->with(shape: $brief->shape->with(['click' => 'enlarge']))->toArray(),
            ]],
        ];
    }

    /** @return array{key: string, text: string}|null */
    private function leadsNowhere(Brief $brief): ?array
    {
        $shape = $brief->shape;

        return $shape->click !== Click::Address || $shape->address !== null || $shape->addresses !== [] ? null : [
            'key' => 'layout',
            'text' => 'A click opens an address of yours, and there is none yet. Write it below, or choose another click.',
        ];
    }

    /** @return array{key: string, text: string}|null */
    private function unknownSources(Brief $brief, SiteSieve $sieve): ?array
    {
        $gather = $brief->criteria->part('gather');
        $names = $sieve->context()->names;
        $known = fn (array $names): array => array_map(strval(...), array_keys($names));
        $unknown = [
            ...array_diff($gather->strings('sources'), $known($names->sources)),
            ...array_diff($gather->strings('subjects'), $known($names->subjects)),
        ];

        return $unknown === [] ? null
            : [
                'key' => 'sources',
                'text' => 'The brief names what this site does not have: '.implode(', ', array_slice($unknown, 0, 5)).(
                    count($unknown) > 5
                        ? ' and '.Numbers::spoken(count($unknown) - 5).' more'
                        : ''
                ).'. It brings nothing, and does no harm.',
            ];
    }

    /** @return array{key: string, text: string}|null */
    private function unknownWidgets(Site $site, Brief $brief): ?array
    {
        $widgets = ApartFrom::widgets($brief->criteria);
        $known = $widgets === [] ? [] : Widget::query()->where('site_id', $site->id)->whereIn('key', $widgets)->pluck('key')->all();
        $unknown = array_diff($widgets, $known);

        return $unknown === []
            ? null
            : [
                'key' => 'apart',
                'text' => 'The brief leaves out what a removed widget showed ('.implode(', ', $unknown).'). That leaves out nothing.',
            ];
    }

    /** @return array{key: string, text: string}|null */
    private function unknownLook(Site $site, Brief $brief): ?array
    {
        $looks = $this->looks->of($site);

        return $looks->has($brief->dress->look)
            ? null
            : [
                'key' => 'dress',
                'text' => "There is no look \"{$brief->dress->look}\" here. {$looks->named($brief->dress->look)->name} stands in.",
            ];
    }

    /** @return array{key: string, text: string, repairs: list<array{text: string, brief: array<string, mixed>}>}|null */
    private function unreadable(Content $content): ?array
    {
        $left = array_filter($content->look->findings, fn (Finding $finding): bool => $finding->isRefused);
        $worst = array_reduce($left, fn (?Finding $worst, Finding $one): Finding => $worst === null || $one->contrast < $worst->contrast
            ? $one : $worst);
        if ($worst === null) {
            return null;
        }
        $mended = $content->brief->with(dress: $content->brief->dress->with(['mend' => true, 'refused' => []]));

        return [
            'key' => 'dress',
            'text' => sprintf(
                '%s, and are left so: a contrast of %.1f of %.1f.',
                $worst->text,
                floor(10 * (float) $worst->contrast) / 10,
                $worst->least,
            ),
            'repairs' => [['text' => 'Mend the colours', 'brief' => $mended->toArray()]],
        ];
    }

    /** @return array{key: string, text: string}|null */
    private function withoutGround(Site $site, Brief $brief): ?array
    {
        $picture = $brief->dress->on($this->looks->of($site)->named($brief->dress->look))->tokens->picture;
        $why = $picture === null ? null : $this->pictures->missing($site, $picture);

        return $why === null ? null : [
            'key' => 'dress',
            'text' => "The picture behind everything is not there: $why The ground stands alone.",
        ];
    }

    /** @return array{key: string, text: string}|null */
    private function noRoomForPages(Site $site, Brief $brief, SiteSieve $sieve): ?array
    {
        $left = WithLabels::byPage($brief->criteria) === []
            ? 0
            : Variants::of($brief, $site->spoken(), InLanguages::pageFirst($brief->criteria) ? $sieve->languages() : [])->left;

        return $left === 0
            ? null
            : [
                'key' => 'labels',
                'text' => 'With so many languages and orders, there is no room for '.Numbers::counted($left, 'page')
                    .' with labels of their own: '.Variants::MOST
                    .' forms are made at most. The last ones show what all other pages show.',
            ];
    }

    /** @return array{key: string, text: string}|null */
    private function pinsNotShown(Site $site, Brief $brief, SiteSieve $sieve): ?array
    {
        if ($brief->criteria->pins === []) {
            return null;
        }
        $found = EntryRecord::ofRefs($site, $brief->criteria->pins);
        $whole = Sieve::of($brief->criteria, $sieve->context());
        $reasons = [];
        foreach ($brief->criteria->pins as $ref) {
            $facts = ($found[$ref] ?? null)?->facts();
            $reason = $facts === null ? 'It is not there any more.' : $whole->stoppedBy($facts)?->reason($facts);
            if ($reason !== null) {
                $reasons[$reason] = ($reasons[$reason] ?? 0) + 1;
            }
        }

        return $reasons === []
            ? null
            : [
                'key' => 'hand',
                'text' => ucfirst(Numbers::counted(array_sum($reasons), 'pin')).' cannot be shown. '.array_key_first($reasons),
            ];
    }
}
