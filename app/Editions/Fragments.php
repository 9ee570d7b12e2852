<?php

declare(strict_types=1);

namespace App\Editions;

use Gnomic\Edition\Files\StructuredData;
use Gnomic\Edition\Input\VariantInput;
use Gnomic\Edition\Plan\Plan;
use Gnomic\Entry\Entry;
use Gnomic\Shape\Card\CardBlock;
use Gnomic\Shape\Parts\PicturesPart;
use Gnomic\Shape\Parts\RatingPart;

/** What stands in a widget, and what comes into it later: markup and styles of one variant. */
final class Fragments
{
    /** The key of what is no widget. */
    private const PICTURE = 'picture';

    /** Where the style sheet comes to stand, once it is known what it is for. */
    private const STYLES = "/*\0*/";

    public function __construct(
        private readonly Templates $templates,
        private readonly StyleSheets $styles,
        private readonly UsedStyles $used,
        private readonly Behaviours $behaviours,
        private readonly Glyphs $glyphs,
        private readonly string $host,
    ) {
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
     * @param  bool  $finds  whether everything is searched here
     */
    public function fragment(
        VariantInput $variant,
        Plan $plan,
        string $key,
        array $further = [],
        bool $finds = false,
    ): string {
        $at = "/w/$key/".$this->beside($variant, $plan);
        $pages = $variant->pages();
        $large = $plan->enlarges() ? $this->behaviours->file('enlarge') : null;

        $markup = $this->templates->tight('widget::fragment', ['count' => self::count($plan, $pages)] + $this->parts($plan) + [
            'template' => 'widget::layouts.'.$plan->leading()::name().'.template',
            'styles' => self::STYLES,
            'with' => [
                ...$this->behaviours->of($plan, $variant->look->scheme),
                ...$this->behaviours->named(array_keys(array_filter([
                    'find' => $finds,
                    'described' => $variant->brief->shape->markup,
                    'count' => $variant->counts,
                ]))),
            ],
            'key' => $variant->counts ? $key : null,
            'home' => "$this->host/w/$key",
            'path' => "/w/$key",
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

    /** A fragment that belongs to no widget, to choose by. */
    public function picture(VariantInput $variant): string
    {
        return $this->fragment($variant, $this->plan($variant, self::PICTURE), self::PICTURE);
    }

    /**
     * Files that visitors get after the fragment: pages of more entries, and all of them in full where they can be enlarged.
     *
     * @return array<string, string> by name
     */
    public function further(VariantInput $variant, Plan $shown, string $key, string $name): array
    {
        $files = [];
        $pages = $variant->pages();
        $before = count($shown->cards);
        foreach ($pages as $index => $entries) {
            $plan = $this->plan($variant->page($entries), $key);
            $page = 'p'.($index + 2);
            $own = ['page' => $page, 'before' => $before, 'count' => self::count($shown, $pages)];
            $files[($index + 2).'.html'] = $this->templates->tight('widget::page', $own + $this->parts($plan) + [
                'name' => $name,
                'rules' => $this->styles->page($plan, $variant->look, $page),
            ]);
            $before += count($entries);
        }
        if ($shown->enlarges()) {
            $plan = $this->plan($variant->inFull(), $key);
            $own = ['enlarges' => false, 'isLarge' => true];
            $files['large.html'] = $this->templates->tight('widget::large', $own + $this->parts($plan) + [
                'name' => $name,
                'styles' => $this->styles->enlarged($plan, $variant->look),
            ]);
        }

        return $files;
    }

    public function markup(VariantInput $variant, Plan $plan): string
    {
        return StructuredData::of($variant->site->about, $plan, $variant->chosen->shown, $variant->chosen->overall);
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
            'sizes' => $plan->hasPart(PicturesPart::class) ? 'auto, '.$plan->pictureWidth().'px' : '',
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
    public function beside(VariantInput $variant, Plan $plan): ?string
    {
        if (! $plan->enlarges() && $variant->pages() === []) {
            return null;
        }
        $whole = [$this->templates->digest(), $this->host, $variant->inputsOfEntries()];

        return substr(hash('sha256', json_encode($whole, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE)), 0, 16);
    }

    private function all(string $key): string
    {
        return "$this->host/w/$key/all.html";
    }
}
