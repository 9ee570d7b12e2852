<?php

declare(strict_types=1);

namespace Gnomic\Gather\Feed;

use DOMElement;
use Gnomic\Entry\Html;
use Gnomic\Entry\Media;
use Gnomic\Text\Address;
use Gnomic\Text\Words;

/** Pictures, films and sounds of an item, each address once. */
final class MediaList
{
    /** @var array<string, Media> */
    private array $byAddress = [];

    public function __construct(private readonly ?string $base)
    {
    }

    public function add(?string $address, ?string $type, ?string $width = null, ?string $height = null, ?string $alt = null): void
    {
        $url = Address::webOrNull($address, $this->base);
        $kind = $url === null ? null : Media::typeOf($type, $url);
        if ($url !== null && $kind !== null) {
            $this->byAddress[$url] ??= new Media(
                $kind,
                $url,
                self::pixels($width),
                self::pixels($height),
                Words::line(Html::toText((string) $alt)),
            );
        }
    }

    /** Media RSS: media:content, alone or grouped, and media:thumbnail where nothing larger is given. */
    public function addMediaRss(Fields $item): void
    {
        foreach ([
            $item,
            ...array_map(fn (DOMElement $group): Fields => Fields::of($group, 'rss', $this->base), $item->all('media:group')),
        ] as $holder) {
            $alt = $holder->text('media:description', 'media:title');
            foreach ($holder->all('media:content') as $content) {
                $within = Fields::of($content, 'rss', $this->base);
                $type = Words::filled($content->getAttribute('type')) ?? Words::filled($content->getAttribute('medium'));
                $this->add($content->getAttribute('url'), $type,
                    $content->getAttribute('width'),
                    $content->getAttribute('height'),
                    $within->text('media:description', 'media:title') ?? $alt);
            }
            foreach ($this->byAddress === [] ? $holder->all('media:thumbnail') : [] as $thumbnail) {
                $this->add(
                    $thumbnail->getAttribute('url'),
                    'image',
                    $thumbnail->getAttribute('width'),
                    $thumbnail->getAttribute('height'),
                    $alt,
                );
            }
        }
    }

    /** @param  list<Media>  $pictures */
    public function addPictures(array $pictures): void
    {
        foreach ($pictures as $picture) {
            $this->byAddress[$picture->url] ??= $picture;
        }
    }

    /** @return list<Media> */
    public function all(): array
    {
        return array_values($this->byAddress);
    }

    private static function pixels(?string $written): ?int
    {
        return preg_match('/^\d{1,5}$/', (string) $written) === 1 ? (int) $written : null;
    }
}
