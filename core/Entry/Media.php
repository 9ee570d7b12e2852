<?php

declare(strict_types=1);

namespace Gnomic\Entry;

use Gnomic\Text\Pieces;

/** A picture, a film or a sound that belongs to an entry. */
final readonly class Media
{
    /**
     * @param  'image'|'video'|'audio'  $type
     * @param  int|null  $width  in pixels
     * @param  int|null  $height  in pixels
     * @param  int|null  $seconds  how long a film or a sound is
     */
    public function __construct(
        public string $type,
        public string $url,
        public ?int $width = null,
        public ?int $height = null,
        public ?string $alt = null,
        public ?int $seconds = null,
    ) {
    }

    /**
     * The type that a media type (RFC 6838), a plain word or, failing both, the address's ending tells; null for others.
     *
     * @return 'image'|'video'|'audio'|null
     */
    public static function typeOf(?string $declared, string $url): ?string
    {
        $word = strtolower(Pieces::before((string) $declared, '/;'));
        if (in_array($word, ['image', 'video', 'audio'], true)) {
            return $word;
        }
        if ($word !== '') {
            return null;
        }
        $ending = strtolower(pathinfo((string) parse_url($url, PHP_URL_PATH), PATHINFO_EXTENSION));

        return match (true) {
            in_array($ending, ['jpg', 'jpeg', 'png', 'gif', 'webp', 'avif', 'svg', 'bmp'], true) => 'image',
            in_array($ending, ['mp4', 'webm', 'mov', 'm4v', 'ogv'], true) => 'video',
            in_array($ending, ['mp3', 'm4a', 'ogg', 'oga', 'wav', 'flac', 'opus'], true) => 'audio',
            default => null,
        };
    }
}
