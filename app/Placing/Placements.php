<?php

declare(strict_types=1);

namespace App\Placing;

use App\Models\Site;
use App\Models\SpotRecord;
use App\Models\Trial;
use App\Models\Widget;
use Gnomic\Place\Pattern\PathPattern;
use Gnomic\Place\Spot\Position;
use Gnomic\Place\Spot\SpotRules;

/** What of a widget shows on which pages, for the element on the page to decide by; as resources/embed/behaviours/place.ts reads it. */
final class Placements
{
    /** Subjects of which pages are told beforehand whether they are known; of more, they ask. */
    private const KNOWN = 400;

    /** Signs of a digest that are told beforehand. */
    private const BEGINNING = 5;

    /** @return array<string, mixed>|null null where the same shows everywhere */
    public static function of(Site $site, Widget $widget): ?array
    {
        $rules = $widget->variant_of === null ? self::rules($site, $widget) : self::ofForm($widget);
        $versions = self::versions($widget);
        if ($rules === [] && $versions === null && $site->allowed === null) {
            return null;
        }

        return ['home' => [$site->front(), $site->name]] + array_filter(
            ['at' => $site->allowed === null ? null : $site->hosts(), 'rules' => $rules, 'versions' => $versions],
            fn (?array $part): bool => $part !== null && ($part !== [] || $site->allowed === []),
        );
    }

    /**
     * Whether the usual edition may be shown to whoever does not ask which: nothing but the host has a say.
     *
     * @param  array<string, mixed>|null  $placement
     */
    public static function isUsual(?array $placement): bool
    {
        return ($placement['rules'] ?? []) === [] && ! isset($placement['versions']);
    }

    /** @return list<array<mixed>> spots where its tag stands, the most particular first */
    private static function rules(Site $site, Widget $widget): array
    {
        $records = $spots = [];
        foreach ($widget->spotRecords() as $record) {
            $spot = $record->toCore();
            if ($spot->position === Position::Tag) {
                $records[$record->key] = $record;
                $spots[$record->key] = ['spot' => $spot, 'widget' => $widget->key];
            }
        }
        $forms = array_filter($widget->formsByVariant(), fn (Widget $form): bool => $form->removed_at === null);
        $rules = [];
        foreach ((new SpotRules($spots))->ordered() as ['key' => $key, 'pattern' => $pattern]) {
            $spot = $spots[$key]['spot'];
            [$from, $to] = $spot->span($site->zone());
            $rules[] = [
                $pattern,
                array_map(fn (PathPattern $except): mixed => $except->compiled(), $spot->except),
                ($forms["s{$records[$key]->id}"] ?? null)->key ?? '',
                $from ?? 0,
                $to ?? 0,
            ];
        }

        // Where everything is as usual, nobody has to ask.
        return array_filter($rules, fn (array $rule): bool => $rule[2] !== '') === [] ? [] : $rules;
    }

    /** @return list<array<mixed>> of a form that follows the page */
    private static function ofForm(Widget $form): array
    {
        $id = preg_match('/^s(\d+)$/', (string) $form->variant, $found) === 1 ? (int) $found[1] : 0;
        $record = SpotRecord::ofQuery(fn ($query) => $query->whereKey($id)->whereNull('removed_at'))[0] ?? null;
        $spot = $record?->toCore();
        if ($record === null || $spot?->follows === null) {
            return [];
        }
        $digests = array_map(strval(...), array_keys(Forms::digests($record, $spot->follows, $record->widget->formsByVariant())));
        $target = ['by' => $spot->follows->value, 'usual' => $spot->elseUsual];
        if (count($digests) <= self::KNOWN) {
            $target['known'] = implode('.', array_map(fn (string $digest): string => substr($digest, 0, self::BEGINNING), $digests));
        }

        return [[['', ''], [], $target, 0, 0]];
    }

    /** @return array{string, string}|null keys of the versions that are tried, where both are out */
    private static function versions(Widget $widget): ?array
    {
        $query = Trial::query();
        $query->where('widget_id', $widget->id)->whereNull('ended_at');
        $trial = $query->with(['same', 'other'])->first();

        return ! $trial instanceof Trial || $trial->same->edition_id === null || $trial->other->edition_id === null ? null
            : [$trial->same->key, $trial->other->key];
    }
}
