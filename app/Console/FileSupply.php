<?php

declare(strict_types=1);

namespace App\Console;

use App\Editions\Catalogues;
use App\Editions\SiteLooks;
use Gnomic\Brief\Brief;
use Gnomic\Dress\Looks;
use Gnomic\Edition\Input\Chosen;
use Gnomic\Edition\Input\Further;
use Gnomic\Edition\Input\InputOrder;
use Gnomic\Edition\Input\SiteMaterial;
use Gnomic\Edition\Input\Supply;
use Gnomic\Edition\Input\VariantInput;
use Gnomic\Entry\Entry;
use Gnomic\Gather\Matching\Digest;
use Gnomic\Shape\Card\StoredPicture;
use Gnomic\Shape\Lines\Font;
use Gnomic\Sift\Criteria;
use Gnomic\Sift\PlainSieve;
use Gnomic\Sift\Sifted;
use Gnomic\Sift\SiteContext;
use Gnomic\Text\Catalogue;

/** The entries of a file, of no site. */
final class FileSupply implements Supply
{
    /** Width and height of a picture that does not tell them. */
    private const UNKNOWN = [640, 480];

    private const FACE = 96;

    /** @var array<string, StoredPicture> by their address */
    private readonly array $pictures;

    /** The last that was asked for: references are of its entries. */
    private ?PlainSieve $sieve = null;

    /**
     * @param  list<Entry>  $entries
     * @param  string  $language  of the words
     * @param  string  $about  what they are about
     */
    public function __construct(
        private readonly array $entries,
        private readonly SiteContext $site,
        private readonly string $language,
        private readonly string $about,
        private readonly Font $font,
        private readonly Catalogues $catalogues,
        private readonly Looks $looks,
    ) {
        $this->pictures = self::pictures($entries);
    }

    public function sifted(Criteria $wanted): PlainSieve
    {
        return $this->sieve = PlainSieve::of($wanted, $this->entries, $this->site);
    }

    public function spoken(): array
    {
        return [$this->language];
    }

    public function words(string $language): Catalogue
    {
        return $this->catalogues->of($language);
    }

    public function inputs(array $orders): array
    {
        return array_map(function (InputOrder $order): VariantInput {
            $further = $this->named($order->further);

            return new VariantInput(
                $order->brief,
                new Chosen(
                    $this->named($order->refs),
                    $order->sifted->tally()->overall(),
                    $order->sifted->tally()->counting(),
                    $order->choices,
                    $order->offered,
                    $further === [] ? null : new Further($further, $order->brief->criteria->limits->most),
                    $order->ways,
                    $order->way,
                    $order->pages,
                ),
                new SiteMaterial($order->sifted->context(), $this->site->now->getTimezone(), $this->about, pictures: $this->pictures),
                $this->catalogues->spoken($order->language, $order->brief->dress->words),
                SiteLooks::on($this->looks, $order->brief),
                $this->font,
            );
        }, $orders);
    }

    public function common(Brief $brief, Sifted $sifted, string $language): array
    {
        return $this->inputs([new InputOrder($brief, $sifted, [], $language)])[0]->inputs();
    }

    public function digests(array $refs): array
    {
        $digests = [];
        foreach ($this->named($refs) as $index => $entry) {
            $digests[$refs[$index]] = Digest::of($entry);
        }

        return $digests;
    }

    /**
     * @param  list<string>  $refs
     * @return list<Entry>
     */
    private function named(array $refs): array
    {
        return $this->sieve?->entries($refs) ?? [];
    }

    /**
     * Pictures of a file are shown from where they are; nothing is fetched for it.
     *
     * @param  list<Entry>  $entries
     * @return array<string, StoredPicture>
     */
    private static function pictures(array $entries): array
    {
        $pictures = [];
        foreach ($entries as $entry) {
            foreach ($entry->media as $media) {
                if ($media->type === 'image') {
                    [$width, $height] = [max(1, $media->width ?? self::UNKNOWN[0]), max(1, $media->height ?? self::UNKNOWN[1])];
                    $pictures[$media->url] = new StoredPicture([$width => $media->url], $width, $height);
                }
            }
            if ($entry->author->image !== null) {
                $pictures[$entry->author->image] = new StoredPicture([self::FACE => $entry->author->image], self::FACE, self::FACE);
            }
        }

        return $pictures;
    }
}
