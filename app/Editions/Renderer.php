<?php

declare(strict_types=1);

namespace App\Editions;

use App\Placing\Placements;
use Gnomic\Edition\Files\JsonFeed;
use Gnomic\Edition\Files\StructuredData;
use Gnomic\Edition\Files\Syndication;
use Gnomic\Edition\Input\EditionInput;
use Gnomic\Edition\Input\EverythingPage;
use Gnomic\Edition\Input\Variant;
use Gnomic\Edition\Input\VariantInput;
use Gnomic\Edition\Plan\Choice;
use Gnomic\Edition\Plan\Plan;
use Gnomic\Edition\Plan\PlannedHeight;
use Gnomic\Edition\Plan\Room;
use Gnomic\Entry\Entry;
use Gnomic\Shape\Card\CardBlock;
use Gnomic\Shape\Parts\RatingPart;
use Illuminate\Contracts\View\Factory;

/** Inputs to HTML: the one way for the proof on the bench, the command line and what goes out. */
final class Renderer
{
    /** The key of what is no widget. */
    private const PICTURE = 'picture';

    /** Where the style sheet comes to stand, once it is known what it is for. */
    private const STYLES = "/*\0*/";

    private ?string $templates = null;

    private readonly UsedStyles $used;

    /** @param  string  $folder  of templates, styles and layouts */
    public function __construct(
        private readonly Factory $views,
        private readonly StyleSheets $styles,
        private readonly Behaviours $behaviours,
        private readonly string $host,
        private readonly string $folder,
        private readonly RatingPicture $rating,
        private readonly Glyphs $glyphs,
    ) {
        $this->used = new UsedStyles;
    }

    /** @param  string  $name  of the widget, for those who hear it and for the feed */
    public function edition(string $key, string $name, EditionInput $input): Rendering
    {
        if ($input->variants === []) {
            return $this->nothing($key, $name);
        }
        $fragments = $further = $ways = [];
        $plans = array_map(fn (VariantInput $variant): Plan => $this->plan($variant, $key), $input->variants);
        foreach ($input->variants as $at => $variant) {
            $plan = $plans[$at];
            $folder = $this->beside($variant, $plan);
            if ($folder !== null) {
                $further[$folder] ??= $this->further($variant, $plan, $key, $name);
            }
            $language = self::language((string) $at, $variant->chosen->way);
            $fragment = $this->fragment($variant, $plan, $key, $further[$folder ?? ''] ?? [], $language);
            if ($variant->chosen->way === '') {
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
        );
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
            'data.jsonld' => $this->markup($variant, $plan)."\n",
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
        $fragment = $this->tight('widget::nothing', []);

        return new Rendering(
            $fragment,
            $this->tight('widget::removed', ['fragment' => $fragment]),
            [
                'feed.json' => JsonFeed::shown($this->host, $key, $name, null, []),
                'feed.atom' => Syndication::atom($this->host, $key, $name, null, []),
                'feed.rss' => Syndication::rss($this->host, $key, $name, null, []),
                'data.jsonld' => "{}\n",
            ],
        );
    }

    public function plan(VariantInput $variant, string $key): Plan
    {
        return $variant->plan($this->all($key));
    }

    /**
     * A declarative shadow root: markup and styles, closed off from the page around it.
     *
     * @param  Plan  $plan  of the content
     * @param  array<string, string>  $further  what comes in later, as further() has it
     * @param  string  $language  of the pages that it is for; empty for all that have no other
     * @param  bool  $finds  whether everything is searched here
     */
    public function fragment(
        VariantInput $variant,
        Plan $plan,
        string $key,
        array $further = [],
        string $language = '',
        bool $finds = false,
    ): string {
        $at = "/w/$key/".$this->beside($variant, $plan);
        $pages = $variant->pages();
        $large = $plan->enlarges() ? $this->behaviours->file('enlarge') : null;

        $markup = $this->tight('widget::fragment', ['count' => self::count($plan, $pages)] + $this->parts($plan) + [
            'template' => 'widget::layouts.'.$plan->leading()::name().'.template',
            'styles' => self::STYLES,
            'with' => [
                ...$this->behaviours->of($plan, $variant->look->scheme),
                ...array_filter([$finds ? $this->behaviours->file('find') : null], is_string(...)),
                ...($variant->counts ? array_filter([$this->behaviours->file('count')], is_string(...)) : []),
            ],
            'key' => $variant->counts ? $key : null,
            'way' => fn (Choice $choice): string => $this->way($choice, $key, $language),
            'usual' => "/w/$key/open.".($language === '' ? 'und' : $language).'.html',
            'enlarged' => $large === null ? null : ['script' => $large, 'page' => "$at/large.html"],
            'more' => $pages === [] ? null : ['from' => "$at/", 'pages' => count($pages)],
            'markup' => $variant->brief->shape->markup ? $this->markup($variant, $plan) : null,
        ]);
        unset($further['large.html']);
        $later = implode('', $further);

        return str_replace(
            self::STYLES,
            $this->used->of($this->styles->of($plan, $variant->look), '.g', $markup.$later, $later),
            $markup,
        );
    }

    /** Where a choice leads, with scripts or without. */
    private function way(Choice $choice, string $key, string $language): string
    {
        $name = Variant::BY.($language === '' ? '' : "$language.").$choice->name;

        return "$this->host/w/$key".($choice->name === '' ? '' : "/$name.html");
    }

    /** Of the pages that a variant is for. @param  string  $name  of the variant @param  string  $way  that a visitor has chosen */
    private static function language(string $name, string $way): string
    {
        $own = $way === '' ? $name : rtrim(substr($name, strlen(Variant::BY), -strlen($way)), '.');

        return explode('.', $own)[0];
    }

    /** A fragment that belongs to no widget, to choose by. */
    public function picture(VariantInput $variant): string
    {
        return $this->fragment($variant, $this->plan($variant, self::PICTURE), self::PICTURE);
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
                    $this->fragment(
                        $page->input,
                        $this->plan($page->input, $key),
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

    private function markup(VariantInput $variant, Plan $plan): string
    {
        return StructuredData::of($variant->site->about, $plan, $variant->chosen->shown, $variant->chosen->overall);
    }

    /**
     * Files that visitors get after the fragment: pages of more entries, and all of them in full where they can be enlarged.
     *
     * @return array<string, string> by name
     */
    private function further(VariantInput $variant, Plan $shown, string $key, string $name): array
    {
        $files = [];
        $pages = $variant->pages();
        $before = count($shown->cards);
        foreach ($pages as $index => $entries) {
            $plan = $this->plan($variant->page($entries), $key);
            $page = 'p'.($index + 2);
            $own = ['page' => $page, 'before' => $before, 'count' => self::count($shown, $pages)];
            $files[($index + 2).'.html'] = $this->tight('widget::page', $own + $this->parts($plan) + [
                'name' => $name,
                'rules' => $this->styles->page($plan, $page),
            ]);
            $before += count($entries);
        }
        if ($shown->enlarges()) {
            $plan = $this->plan($variant->inFull(), $key);
            $files['large.html'] = $this->tight('widget::large', ['enlarges' => false, 'isLarge' => true] + $this->parts($plan) + [
                'name' => $name,
                'styles' => $this->styles->enlarged($plan, $variant->look),
            ]);
        }

        return $files;
    }

    /**
     * What every template is given, of the first page of cards or the only one.
     *
     * @return array<string, mixed>
     */
    private function parts(Plan $plan): array
    {
        return [
            'plan' => $plan,
            'words' => $plan->words,
            'enlarges' => $plan->enlarges(),
            'isLarge' => false,
            'marks' => new MarkedWords($plan->shape->marked),
            'clamped' => $plan->fitting->clamped(),
            'page' => $plan->shape->more === 'none' ? '' : 'p1',
            'before' => 0,
            'count' => count($plan->cards),
            'sizes' => 'auto, '.$plan->pictureWidth().'px',
            'glyphs' => $this->glyphs,
            'tokens' => $plan->tokens,
            'composition' => $plan->shape->composition(),
            'kind' => fn (CardBlock $block): string => $block->parts[0]::class,
            'steps' => array_map(fn (int $step): string => $step === 0 ? '' : " s$step", $plan->fitting->steps()),
            'leads' => $plan->fitting->leads(),
            'drawn' => $plan->head->figure !== null || $plan->head->channels !== [] || $plan->hasPart(RatingPart::class)
                || $plan->choices->areStars(),
        ];
    }

    /**
     * Cards of all pages.
     *
     * @param  list<list<Entry>>  $pages  beside the first
     */
    private static function count(Plan $shown, array $pages): int
    {
        return count($shown->cards) + array_sum(array_map(count(...), $pages));
    }

    /** Where files beside an edition lie: another wherever they might be others, the same for the same for ever; null: there are none. */
    private function beside(VariantInput $variant, Plan $plan): ?string
    {
        if (! $plan->enlarges() && $variant->pages() === []) {
            return null;
        }
        $whole = [$this->templates(), $this->host, $variant->inputsOfEntries()];

        return substr(hash('sha256', json_encode($whole, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE)), 0, 16);
    }

    private function templates(): string
    {
        return $this->templates ??= FolderDigest::of($this->folder);
    }

    private function all(string $key): string
    {
        return "$this->host/w/$key/all.html";
    }

    /** Another wherever what stands around the entries might be another: the names, the host, the templates. */
    public function frame(string $key, string $name): string
    {
        $around = [$this->templates(), $this->behaviours->digest(), $this->host, $key, $name];

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
        return $this->tight(
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

    /**
     * @param  view-string  $view
     * @param  array<string, mixed>  $with
     */
    private function tight(string $view, array $with): string
    {
        return trim((string) preg_replace('/\s*\n\s*/', "\n", $this->views->make($view, $with)->render()))."\n";
    }
}
