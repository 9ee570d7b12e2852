<?php

declare(strict_types=1);

namespace Tests\core\Entry;

use DateTimeZone;
use Gnomic\Entry\Entry;
use Gnomic\Entry\EntryJson;
use Gnomic\Entry\Media;
use Gnomic\Gather\Feed\FeedReader;
use Gnomic\Gather\Page\PageReader;
use Gnomic\Gather\Records\CorkwallPins;
use Gnomic\Gather\Records\ShutterfenPhotos;
use Gnomic\Gather\Records\TicketwickRatings;
use Gnomic\Gather\Records\WayleafReviews;
use Gnomic\Gather\Tables\EntryRows;
use Gnomic\Gather\Tables\TableReader;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Whatever way an entry comes, none of its addresses leads to a script: of itself, its author, its pictures, the links in its words. */
final class AddressesTest extends TestCase
{
    private const ATTACKS = ['javascript:alert(1)', 'JaVaScRiPt:alert(1)', ' javascript:alert(1)', "java\tscript:alert(1)", 'vbscript:x', 'data:text/html,<script>x</script>',
        'data:image/svg+xml,<svg onload=x>', 'blob:https://a.example/x', 'file:///etc/passwd', 'https://a.example:x/', 'https://', '//', 'about:blank', "https://a.example/\x01"];

    /** @return iterable<string, array{string}> */
    public static function attacks(): iterable
    {
        foreach (self::ATTACKS as $attack) {
            yield json_encode($attack, JSON_THROW_ON_ERROR) => [$attack];
        }
    }

    #[DataProvider('attacks')]
    public function test_every_way_in(string $attack): void
    {
        foreach (self::ways($attack) as $way => $entries) {
            self::assertNotSame([], $entries, $way);
            foreach ($entries as $entry) {
                $addresses = [$entry->url, $entry->author->url, $entry->author->image, ...array_map(fn (Media $one): string => $one->url, $entry->media)];
                preg_match_all('/(?:href|src)="([^"]*)"/', (string) $entry->html, $linked);
                foreach ([...array_filter($addresses, fn (?string $one): bool => $one !== null), ...$linked[1]] as $address) {
                    self::assertMatchesRegularExpression('~^(?:https?://[^\s/]|mailto:)~', $address, "$way took $address");
                }
                self::assertDoesNotMatchRegularExpression('/=\s*"[^"]*script:/i', (string) $entry->html, $way);
            }
        }
    }

    /** @return array<string, list<Entry>> */
    private static function ways(string $attack): array
    {
        $xml = htmlspecialchars((string) preg_replace('/[\x00-\x08\x0B-\x1F]/', '', $attack), ENT_XML1 | ENT_QUOTES);
        $html = htmlspecialchars($attack, ENT_QUOTES);
        $words = htmlspecialchars("<a href=\"$html\">x</a><img src=\"$html\">", ENT_XML1);
        $json = fn (mixed $value): string => (string) json_encode($value);
        $rss = "<rss version=\"2.0\" xmlns:media=\"http://search.yahoo.com/mrss/\"><channel><item><guid>1</guid><link>$xml</link><description>$words</description>"
            ."<enclosure url=\"$xml\" type=\"image/png\"/><media:content url=\"$xml\" medium=\"image\"/></item></channel></rss>";
        $atom = "<feed xmlns=\"http://www.w3.org/2005/Atom\"><entry><id>1</id><title>t</title><link href=\"$xml\"/><link rel=\"enclosure\" type=\"image/png\" href=\"$xml\"/>"
            ."<author><name>a</name><uri>$xml</uri></author><content type=\"html\">$words</content></entry></feed>";
        $feed = $json(['version' => 'https://jsonfeed.org/version/1.1', 'items' => [['id' => '1', 'url' => $attack, 'image' => $attack,
            'content_html' => "<a href=\"$html\">x</a><img src=\"$html\">", 'authors' => [['name' => 'a', 'url' => $attack, 'avatar' => $attack]],
            'attachments' => [['url' => $attack, 'mime_type' => 'image/png']]]]]);
        $linked = '<script type="application/ld+json">'.json_encode(['@type' => 'Review', 'url' => $attack, 'reviewBody' => "<a href=\"$html\">x</a>", 'image' => $attack,
            'author' => ['@type' => 'Person', 'name' => 'a', 'url' => $attack, 'image' => $attack]], JSON_HEX_TAG).'</script>';
        $micro = "<div itemscope itemtype='https://schema.org/Review'><p itemprop=reviewBody>x</p><a itemprop=url href=\"$html\">x</a><img itemprop=image src=\"$html\"></div>";
        $formats = "<div class=h-entry><a class=u-url href=\"$html\">x</a><img class=u-photo src=\"$html\"><div class=e-content><a href=\"$html\">x</a></div>"
            ."<a class='p-author h-card' href=\"$html\">a</a></div>";
        $cell = '"'.str_replace('"', '""', $attack).'"';
        $table = "author,text,address,picture\nJo,Words,$cell,$cell\n";
        $record = fn (array $more): string => $json($more);

        return [
            'RSS' => FeedReader::read($rss)->entries,
            'Atom' => FeedReader::read($atom)->entries,
            'JSON Feed' => FeedReader::read($feed)->entries,
            'JSON-LD' => PageReader::read("<!doctype html>$linked")->reading->entries,
            'microdata' => PageReader::read("<!doctype html>$micro")->reading->entries,
            'microformats' => PageReader::read("<!doctype html>$formats")->reading->entries,
            'a table' => EntryRows::reading(TableReader::read($table), new DateTimeZone('UTC'))->entries,
            'JSON Lines' => [EntryJson::read(['id' => '1', 'kind' => 'post', 'url' => $attack, 'html' => "<a href=\"$html\">x</a><img src=\"$html\">",
                'author' => ['name' => 'a', 'url' => $attack, 'image' => $attack], 'media' => [['type' => 'image', 'url' => $attack]]])],
            'a directory' => WayleafReviews::read($record(['place' => ['name' => 'x'], 'reviews' => [['review_id' => 'w', 'comment' => $attack,
                'author' => ['name' => 'a', 'url' => $attack]]], 'next' => null]))->reading->entries,
            'tickets' => TicketwickRatings::read($record(['venue' => ['name' => 'x'], 'ratings' => [['rating_id' => 't', 'body' => $attack]]]))->entries,
            'photos' => ShutterfenPhotos::read($record(['photos' => [['photo_id' => 'p', 'caption' => $attack, 'permalink' => $attack,
                'media' => [['kind' => 'image', 'sizes' => [['url' => $attack, 'width' => 3]]], ['kind' => 'video', 'url' => $attack]]]]]))[0]->entries,
            'a board' => CorkwallPins::read($record(['pages' => 1, 'pins' => [['pin_id' => 'c', 'note' => $attack, 'link' => $attack,
                'picture' => ['url' => $attack, 'width' => 1, 'height' => 1]]]]))[0]->entries,
        ];
    }
}
