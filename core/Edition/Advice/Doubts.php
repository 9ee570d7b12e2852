<?php

declare(strict_types=1);

namespace Gnomic\Edition\Advice;

use Gnomic\Brief\Brief;
use Gnomic\Dress\Guard\ContrastFinding;
use Gnomic\Edition\Input\Tried;
use Gnomic\Edition\Input\VariantInput;
use Gnomic\Edition\Input\Variants;
use Gnomic\Entry\Entry;
use Gnomic\Shape\Click;
use Gnomic\Sift\Clauses;
use Gnomic\Sift\Clauses\ApartFrom;
use Gnomic\Sift\Clauses\InLanguages;
use Gnomic\Sift\Clauses\Stars;
use Gnomic\Sift\Clauses\WithLabels;
use Gnomic\Sift\Criteria;
use Gnomic\Sift\Sieve;
use Gnomic\Text\Numbers;

/** What in a brief is hardly meant, or would disappoint. It is kept as it is; each doubt says what is mended where. */
final readonly class Doubts
{
    /** Seconds of a card: fewer are too few, and those that suit most people. */
    private const LEAST_SECONDS = 3;

    private const COMFORTABLE = 5;

    private function __construct(private Tried $tried, private KnownOfSite $site)
    {
    }

    /**
     * What is hardly meant in what a list or a widget asks of entries.
     *
     * @return list<array{key: string, text: string}> with the topic whose controls mend it
     */
    public static function about(Criteria $wanted): array
    {
        $doubts = [];
        foreach (Clauses::ALL as $clause) {
            foreach ($clause::doubts($wanted) as $text) {
                $doubts[] = ['key' => $clause::topic()->key, 'text' => $text];
            }
        }

        return $doubts;
    }

    /**
     * What the owner should know before a brief goes out.
     *
     * @return list<array{key: string, text: string, repairs: list<array{text: string, brief: array<string, mixed>}>}> each with the
     *     phrase of the sentence that mends it, and where one press does, with the brief that this gives
     */
    public static function of(Tried $tried, KnownOfSite $site): array
    {
        [$doubts, $brief] = [new self($tried, $site), $tried->input->brief];
        $all = array_values(array_filter([
            $doubts->nothingLeft(),
            self::onlyPraise($brief),
            ...self::about($brief->criteria),
            self::tooFast($brief),
            self::withoutPictures($tried->input),
            self::notReadOn($tried->input),
            self::leadsNowhere($brief),
            $doubts->unknownSources($brief),
            $doubts->unknownWidgets($brief),
            $doubts->pinsNotShown($brief),
            $doubts->unknownLook($brief),
            $doubts->withoutPicture(),
            self::unreadable($tried->input),
            $doubts->noRoomForPages($brief),
        ], is_array(...)));

        return array_map(
            fn (array $doubt): array => ['key' => $doubt['key'], 'text' => $doubt['text'], 'repairs' => $doubt['repairs'] ?? []],
            $all,
        );
    }

    /** @return array{key: string, text: string, repairs?: list<array{text: string, brief: array<string, mixed>}>}|null */
    private function nothingLeft(): ?array
    {
        $selection = $this->tried->selection;
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
                        'repairs' => Repairs::of($this->tried->input->brief, $this->tried->sifted),
                    ];
            }
        }

        return null;
    }

    /** @return array{key: string, text: string, repairs: list<array{text: string, brief: array<string, mixed>}>}|null */
    private static function onlyPraise(Brief $brief): ?array
    {
        if ($brief->shape->honest || (Stars::wanted($brief->criteria)?->least() ?? 1.0) < 3.0) {
            return null;
        }
        $honest = $brief->with(shape: $brief->shape->with(['honest' => true]));

        return [
            'key' => 'head',
            'text' => 'Visitors would see only praise, and nothing would tell them that this is a selection.',
            'repairs' => [['text' => 'Say that it is a selection', 'brief' => $honest->toArray()]],
        ];
    }

    /** @return array{key: string, text: string, repairs: list<array{text: string, brief: array<string, mixed>}>}|null */
    private static function tooFast(Brief $brief): ?array
    {
        $layout = $brief->shape->toArray()['layout'];
        if (($brief->shape->layout->seconds() ?? self::COMFORTABLE) >= self::LEAST_SECONDS || ! is_array($layout)) {
            return null;
        }
        $slower = $brief->with(shape: $brief->shape->with(['layout' => ['autoplay' => self::COMFORTABLE] + $layout]));

        return [
            'key' => 'layout',
            'text' => 'It moves on before most people can read a card.',
            'repairs' => [['text' => 'Every five seconds', 'brief' => $slower->toArray()]],
        ];
    }

    /** @return array{key: string, text: string}|null */
    private static function withoutPictures(VariantInput $input): ?array
    {
        $with = array_filter($input->chosen->shown, fn (Entry $entry): bool => $entry->media !== []);

        return ! $input->brief->shape->hasTiles() || $input->chosen->shown === [] || $with !== [] ? null : [
            'key' => 'layout',
            'text' => 'None of these entries has a picture, so they show as text. A layout made for reading suits them better.',
        ];
    }

    /** @return array{key: string, text: string, repairs: list<array{text: string, brief: array<string, mixed>}>}|null */
    private static function notReadOn(VariantInput $input): ?array
    {
        $brief = $input->brief;
        $said = array_filter($input->chosen->shown, fn (Entry $entry): bool => trim($entry->text) !== '');
        if (! $brief->shape->hasTiles() || $brief->shape->click !== Click::Nothing || $said === []) {
            return null;
        }

        return [
            'key' => 'layout',
            'text' => 'Tiles have little room for words, and a click does nothing: visitors cannot read what is cut off.',
            'repairs' => [[
                'text' => 'Enlarge what is clicked',
                'brief' => $brief->with(shape: $brief->shape->with(['click' => 'enlarge']))->toArray(),
            ]],
        ];
    }

    /** @return array{key: string, text: string}|null */
    private static function leadsNowhere(Brief $brief): ?array
    {
        $shape = $brief->shape;

        return $shape->click !== Click::Address || $shape->address !== null || $shape->addresses !== [] ? null : [
            'key' => 'layout',
            'text' => 'A click opens an address of your own, but none is given. Enter it below, or choose another click.',
        ];
    }

    /** @return array{key: string, text: string}|null */
    private function unknownSources(Brief $brief): ?array
    {
        $gather = $brief->criteria->part('gather');
        $names = $this->tried->sifted->context()->names;
        $known = fn (array $names): array => array_map(strval(...), array_keys($names));
        $unknown = [
            ...array_diff($gather->strings('sources'), $known($names->sources)),
            ...array_diff($gather->strings('subjects'), $known($names->subjects)),
        ];

        return $unknown === [] ? null
            : [
                'key' => 'sources',
                'text' => 'The widget names sources or subjects that this site does not have: '
                    .implode(', ', array_slice($unknown, 0, 5)).(
                        count($unknown) > 5
                            ? ' and '.Numbers::spoken(count($unknown) - 5).' more'
                            : ''
                    ).'. They are ignored.',
            ];
    }

    /** @return array{key: string, text: string}|null */
    private function unknownWidgets(Brief $brief): ?array
    {
        $widgets = ApartFrom::widgets($brief->criteria);
        $unknown = array_diff($widgets, $this->site->widgets);

        return $unknown === []
            ? null
            : [
                'key' => 'apart',
                'text' => 'The widget leaves out what a removed widget showed ('.implode(', ', $unknown).'). This has no effect.',
            ];
    }

    /** @return array{key: string, text: string}|null */
    private function unknownLook(Brief $brief): ?array
    {
        $looks = $this->site->looks;

        return $looks->has($brief->dress->look)
            ? null
            : [
                'key' => 'dress',
                'text' => "There is no look \"{$brief->dress->look}\" here. {$looks->named($brief->dress->look)->name} is used instead.",
            ];
    }

    /** @return array{key: string, text: string, repairs: list<array{text: string, brief: array<string, mixed>}>}|null */
    private static function unreadable(VariantInput $input): ?array
    {
        $left = array_filter($input->look->findings, fn (ContrastFinding $finding): bool => $finding->isRefused);
        $worst = array_reduce(
            $left,
            fn (?ContrastFinding $worst, ContrastFinding $one): ContrastFinding => $worst === null
                || $one->contrast < $worst->contrast ? $one : $worst,
        );
        if ($worst === null) {
            return null;
        }
        $mended = $input->brief->with(dress: $input->brief->dress->with(['mend' => true, 'refused' => []]));

        return [
            'key' => 'dress',
            'text' => sprintf(
                '%s, and are left as they are: a contrast of %.1f of %.1f.',
                $worst->text,
                floor(10 * (float) $worst->contrast) / 10,
                $worst->least,
            ),
            'repairs' => [['text' => 'Fix the colours', 'brief' => $mended->toArray()]],
        ];
    }

    /** @return array{key: string, text: string}|null */
    private function withoutPicture(): ?array
    {
        $why = $this->site->missingPicture;

        return $why === null ? null : [
            'key' => 'dress',
            'text' => "The background picture is missing: $why The background colour is used instead.",
        ];
    }

    /** @return array{key: string, text: string}|null */
    private function noRoomForPages(Brief $brief): ?array
    {
        $left = WithLabels::byPage($brief->criteria) === []
            ? 0
            : Variants::of(
                $brief,
                $this->site->spoken,
                InLanguages::pageFirst($brief->criteria) ? $this->tried->sifted->languages() : [],
            )->left;

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
    private function pinsNotShown(Brief $brief): ?array
    {
        if ($brief->criteria->pins === []) {
            return null;
        }
        $whole = Sieve::of($brief->criteria, $this->tried->sifted->context());
        $reasons = [];
        foreach ($brief->criteria->pins as $ref) {
            $facts = $this->site->pinned[$ref] ?? null;
            $reason = $facts === null ? 'It no longer exists.' : $whole->stoppedBy($facts)?->reason($facts);
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
