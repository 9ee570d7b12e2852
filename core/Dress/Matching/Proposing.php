<?php

declare(strict_types=1);

namespace Gnomic\Dress\Matching;

use Closure;
use DOMElement;
use Gnomic\Dress\Look;
use Gnomic\Dress\LookTokens;
use Gnomic\Dress\Page\PageStyles;
use Gnomic\Dress\Page\StyledPage;
use Gnomic\Dress\Palette;
use Gnomic\Dress\Scheme;

/** Reads a look from one section of a page: from its own text, headings, links, buttons and cards, or else from those of the page. */
final class Proposing
{
    private readonly UsedBy $used;

    /**
     * @param  PageStyles  $narrow  of the same page on a narrow screen
     * @param  Closure(string): (array{css: string, name: string, address: string}|null)  $fetch
     */
    public function __construct(
        private readonly PageStyles $styles,
        private readonly PageStyles $narrow,
        private readonly DOMElement $body,
        StyledPage $page,
        Closure $fetch,
    ) {
        $this->used = new UsedBy($page, $fetch);
    }

    /** @param  list<string>  $tags  keys of widgets whose codes stand in it */
    public function proposal(Section $section, array $tags): Proposal
    {
        $notes = new Notes($this->styles, $this->used);
        $samples = new StyleSamples($this->styles, $this->body, $section);
        $isDark = $section->isDark();
        $scheme = $isDark ? 'dark' : 'light';
        $own = Palette::read((new PaletteReading($section, $samples, $notes, $scheme))->colours(), "/$scheme");
        $tokens = LookTokens::read((new TokenReading($samples, $this->narrow, $notes))->tokens(), '/tokens');
        $name = $section->name();

        return new Proposal($section->path(), $name, $isDark, $tags, Look::of(
            'matched',
            mb_strimwidth("As $name", 0, 60, '…'),
            'Read from the page',
            $isDark ? Scheme::Dark : Scheme::Light,
            $isDark ? $own->turned() : $own,
            $isDark ? $own : $own->turned(),
            $tokens,
            Look::USUAL,
        ), $notes->all());
    }
}
