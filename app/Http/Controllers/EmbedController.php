<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Host\KnowsHost;
use App\Models\Widget;
use App\Placing\Codes;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use XMLWriter;

/** A widget by its address, for editors that embed so (oEmbed 1.0, oembed.com). Public, without a session. */
final class EmbedController
{
    use KnowsHost;

    private const USUAL_WIDTH = 720;

    private const NARROWEST = 120;

    public function __invoke(Request $request, Codes $codes): Response
    {
        $host = $this->host();
        $asked = $request->query('format', 'json');
        $format = is_string($asked) ? strtolower($asked) : '';
        if (! in_array($format, ['json', 'xml'], true)) {
            return self::plain('Only the formats json and xml are available.', Response::HTTP_NOT_IMPLEMENTED);
        }
        $url = $request->query('url');
        $isOurs = is_string($url) && preg_match('~^'.preg_quote($host, '~').'/w/([a-z0-9]{4,40})/?(?:[?#].*)?$~D', $url, $found) === 1;
        $query = Widget::query();
        $query->where('key', $isOurs ? $found[1] : '')->whereNotNull('edition_id');
        $widget = $isOurs ? $query->with(['edition', 'site'])->first() : null;
        if (! $widget instanceof Widget || $widget->isEmptied()) {
            return self::plain('There is no widget at this address.', Response::HTTP_NOT_FOUND);
        }
        $width = min(self::USUAL_WIDTH, self::most($request, 'maxwidth') ?? self::USUAL_WIDTH);
        $height = min($codes->height($widget), self::most($request, 'maxheight') ?? PHP_INT_MAX);
        $title = $widget->title();
        $name = htmlspecialchars($title, ENT_QUOTES);
        $told = [
            'version' => '1.0',
            'type' => 'rich',
            'title' => $title,
            'author_name' => $widget->site->name,
            'author_url' => $widget->site->front(),
            'provider_name' => 'Gnomic',
            'provider_url' => "$host/",
            'cache_age' => 3600,
            'thumbnail_url' => "$host/w/$widget->key.png",
            'thumbnail_width' => 720,
            'thumbnail_height' => 144,
            'width' => max(self::NARROWEST, $width),
            'height' => $height,
            'html' => "<iframe src=\"$host/w/$widget->key\" title=\"$name\" width=\"".max(self::NARROWEST, $width)."\" height=\"$height\" "
                .'style="max-width:100%;border:0" loading="lazy"></iframe>',
        ];
        if ((self::most($request, 'maxwidth') ?? 720) < 720 || (self::most($request, 'maxheight') ?? 144) < 144) {
            // A picture that is larger than was asked for is none.
            $told = array_diff_key($told, ['thumbnail_url' => 1, 'thumbnail_width' => 1, 'thumbnail_height' => 1]);
        }

        return $format === 'xml' ? self::answer(self::xml($told), 'text/xml; charset=utf-8')
            : self::answer((string) json_encode($told, JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE), 'application/json');
    }

    private static function most(Request $request, string $name): ?int
    {
        $given = $request->query($name);

        return is_string($given) && preg_match('/^[1-9]\d{0,4}$/D', $given) === 1 ? (int) $given : null;
    }

    /** @param  array<string, string|int>  $told */
    private static function xml(array $told): string
    {
        $xml = new XMLWriter;
        $xml->openMemory();
        $xml->startDocument('1.0', 'utf-8', 'yes');
        $xml->startElement('oembed');
        foreach ($told as $name => $value) {
            $xml->writeElement($name, (string) preg_replace('/[\x00-\x08\x0B\x0C\x0E-\x1F]/', '', (string) $value));
        }
        $xml->endElement();

        return $xml->outputMemory();
    }

    private static function answer(string $body, string $type): Response
    {
        return new Response(
            $body,
            200,
            ['Content-Type' => $type, 'Access-Control-Allow-Origin' => '*', 'Cache-Control' => 'public, max-age=3600'],
        );
    }

    private static function plain(string $says, int $status): Response
    {
        return new Response("$says\n", $status, ['Content-Type' => 'text/plain; charset=utf-8', 'Access-Control-Allow-Origin' => '*']);
    }
}
