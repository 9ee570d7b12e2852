<?php

declare(strict_types=1);

namespace App\Editions;

use App\Placing\Placements;
use Gnomic\Edition\Files\JsonFeed;
use Gnomic\Edition\Files\Syndication;
use Gnomic\Edition\Input\EditionInput;
use Gnomic\Edition\Input\EverythingPage;
use Gnomic\Edition\Input\VariantInput;
use Gnomic\Edition\Plan\Plan;
use Gnomic\Edition\Plan\PlannedHeight;
use Gnomic\Edition\Plan\Room;
use Gnomic\Text\LanguageLookup;

/** Inputs to the files of an edition: the one way for the command line and what goes out. */
final class Renderer
{
    public function __construct(
        private readonly Fragments $fragments,
        private readonly Templates $templates,
        private readonly Behaviours $behaviours,
        private readonly RatingPicture $rating,
        private readonly string $host,
    ) {
    }

    /** @param  string  $name  of the widget, for those who hear it and for the feed */
    public function edition(string $key, string $name, EditionInput $input): Rendering
    {
        if ($input->variants === []) {
            return $this->nothing($key, $name);
        }
        $fragments = $further = $ways = [];
        $plans = array_map(fn (VariantInput $variant): Plan => $this->fragments->plan($variant, $key), $input->variants);
        foreach ($input->variants as $at => $variant) {
            $plan = $plans[$at];
            $folder = $this->fragments->beside($variant, $plan);
            if ($folder !== null) {
                $further[$folder] ??= $this->fragments->further($variant, $plan, $key, $name);
            }
            $fragment = $this->fragments->fragment($variant, $plan, $key, $further[$folder ?? ''] ?? []);
            if ($variant->chosen->way === null) {
                $fragments[$at] = $fragment;
            } else {
                $ways["$at.html"] = $this->document($variant, $fragment, $key, $name);
            }
        }
        [$variant, $plan] = [$input->variants[''], $plans['']];

        return new Rendering(
            $fragments[''],
            $this->document($variant, $fragments[''], $key, $name),
            $this->told($variant, $plan, $key, $name),
            array_diff_key($fragments, ['' => true]),
            $this->everything($input, $key, $name),
            array_column($input->pages, 'digest', 'name'),
            $this->choice($input, $fragments['']),
            $further,
            self::room($plan),
            $input->placement === null && ($input->choice?->isByLanguage() ?? false),
            $ways,
            self::also($input),
        );
    }

    /** @return array<string, string> names of variants by tags of pages that mean their language without being it */
    private static function also(EditionInput $input): array
    {
        $languages = $names = [];
        foreach ($input->variants as $name => $variant) {
            $words = $variant->words;
            if ($variant->chosen->way === null && ($name === '' || $name === strtolower($words->language))) {
                $languages[$words->language] = $words->also;
                $names[$words->language] ??= $name;
            }
        }

        return array_map(fn (string $language): string => $names[$language], (new LanguageLookup($languages))->others());
    }

    /**
     * What it shows, in other forms than a page.
     *
     * @return array<string, string> by file name
     */
    private function told(VariantInput $variant, Plan $plan, string $key, string $name): array
    {
        return array_filter([
            'feed.json' => JsonFeed::shown($this->host, $key, $name, $plan, $variant->chosen->shown),
            'feed.atom' => Syndication::atom($this->host, $key, $name, $plan, $variant->chosen->shown),
            'feed.rss' => Syndication::rss($this->host, $key, $name, $plan, $variant->chosen->shown),
            'data.jsonld' => $this->fragments->markup($variant, $plan)."\n",
            // Of a widget that does not show the overall rating, nobody asks for its picture.
            'overall.svg' => $plan->head->figure !== null ? $this->rating->svg($variant) : null,
            'overall.png' => $plan->head->figure !== null ? $this->rating->png($variant) : null,
        ], is_string(...));
    }

    /**
     * What the element on the page decides by, where there is something to decide; with the usual edition in it, where only its host has
     * a say.
     */
    private function choice(EditionInput $input, string $usual): ?string
    {
        $manifest = $input->choice?->manifest();
        if ($manifest === null && $input->placement === null) {
            return null;
        }
        $written = fn (mixed $value): string => htmlspecialchars(
            is_string($value) ? $value : json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE),
            ENT_QUOTES,
        );
        $attributes = " data-place=\"{$this->behaviours->file('place')}\""
            .($manifest === null ? '' : " data-variants=\"{$written($manifest)}\"")
            .($input->placement === null ? '' : " data-placing=\"{$written($input->placement)}\"");

        return $manifest === null && Placements::isUsual($input->placement)
            ? (string) preg_replace('/^<template /', "<template$attributes ", $usual, 1)
            : "<template$attributes></template>\n";
    }

    /**
     * @return array{length: string, short: string, phone: int, wide: int, pictured: bool} at every width, and in pixels on phones and
     *     desktops
     */
    private static function room(Plan $plan): array
    {
        $height = new PlannedHeight($plan);
        $room = Room::of($height->at(...));

        return [
            'length' => $room->length(),
            'short' => $room->short(),
            'phone' => (int) ceil($height->at(360)),
            'wide' => (int) ceil($height->at(1120)),
            'pictured' => $plan->head->figure !== null,
        ];
    }

    /** Of a widget that was taken away. */
    private function nothing(string $key, string $name): Rendering
    {
        $fragment = $this->templates->tight('widget::nothing', []);

        return new Rendering(
            $fragment,
            $this->templates->tight('widget::removed', ['fragment' => $fragment]),
            [
                'feed.json' => JsonFeed::shown($this->host, $key, $name, null, []),
                'feed.atom' => Syndication::atom($this->host, $key, $name, null, []),
                'feed.rss' => Syndication::rss($this->host, $key, $name, null, []),
                'data.jsonld' => "{}\n",
            ],
        );
    }

    /** @return array<string, string> pages of everything that are not as before, by name */
    private function everything(EditionInput $input, string $key, string $name): array
    {
        $written = [];
        foreach ($input->pages as $page) {
            if ($page->input !== null) {
                $title = $page->input->words->say('everything.title', ['name' => $name]);
                $written[$page->name] = $this->document(
                    $page->input,
                    $this->fragments->fragment(
                        $page->input,
                        $this->fragments->plan($page->input, $key),
                        $key,
                        finds: $page->input->brief->shape->choosing->by === 'search',
                    ),
                    $key,
                    $title,
                    $page,
                );
            }
        }

        return $written;
    }

    /** Another wherever what stands around the entries might be another: the names, the host, the templates. */
    public function frame(string $key, string $name): string
    {
        $around = [$this->templates->digest(), $this->behaviours->digest(), $this->host, $key, $name];

        return hash('xxh128', json_encode($around, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE));
    }

    /**
     * Another wherever a rendering might be another.
     *
     * @param  string  $frame  of frame()
     */
    public function fingerprint(string $frame, EditionInput $input): string
    {
        return hash('xxh128', json_encode(
            [$frame, $input->inputs()],
            JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE | JSON_PRESERVE_ZERO_FRACTION,
        ));
    }

    private function document(VariantInput $variant, string $fragment, string $key, string $name, ?EverythingPage $page = null): string
    {
        return $this->templates->tight(
            'widget::document',
            [
                'fragment' => $fragment,
                'name' => $name,
                'key' => $key,
                'look' => $variant->look,
                'words' => $variant->words,
                'page' => $page,
                'frame' => $this->behaviours->file('frame'),
                'host' => $this->host,
            ],
        );
    }
}
