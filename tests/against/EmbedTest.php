<?php

declare(strict_types=1);

namespace Tests\against;

use App\Models\Widget;
use Gnomic\Brief\BriefReader;
use Gnomic\Entry\Author;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Rating;
use Gnomic\Entry\Scale;
use Symfony\Component\Process\Process;
use Tests\TestCase;

/** What others make of a widget: oEmbed 1.0 by @extractus/oembed-extractor, RSS and Atom by rss-parser and feedparser. */
final class EmbedTest extends TestCase
{
    private Widget $widget;

    protected function setUp(): void
    {
        parent::setUp();
        config(['gnomic.editions' => getenv('GNOMIC_DATA').'/embed-w']);
        $site = $this->site();
        $this->store($this->source($site), [
            new Entry('a', Kind::Review, author: new Author('Inés <M.>'), rating: Rating::on(Scale::ofStars(), 5), title: 'Fish & "chips"',
                text: "Clear <b>sky</b> & company.\nTwo lines.", url: 'https://a.example/1?a=1&b=2', language: 'en'),
            new Entry('b', Kind::Review, author: new Author('Ben'), rating: Rating::on(Scale::ofStars(), 4), text: "Ein Abend\u{1} mit Sternen 🌠"),
        ]);
        $this->widget = $this->publish($site->widgets()->create(['key' => 'embed1test', 'name' => 'Words', 'brief' => BriefReader::read(['version' => 4, 'shape' => ['title' => 'Words & more']])->toArray()]));
    }

    public function test_editors_that_embed_by_address_get_what_the_text_asks(): void
    {
        $host = rtrim((string) config('app.url'), '/');
        $url = "$host/w/{$this->widget->key}";
        $answer = fn (string $more): string => (string) $this->get('/oembed?format=json&url='.urlencode($url).$more)->assertOk()->getContent();
        $process = new Process(['node', __DIR__.'/oembed.mjs'], input: (string) json_encode([
            'url' => $url, 'params' => [(object) [], ['maxwidth' => 320]], 'answers' => ['' => $answer(''), '320' => $answer('&maxwidth=320')],
        ]), timeout: 60);
        $theirs = json_decode($process->mustRun()->getOutput(), true);
        self::assertStringContainsString('/oembed', (string) $theirs['provider']['endpoint'], 'the address is known to be ours');
        [$usual, $narrow] = $theirs['results'];
        // oEmbed 1.0, §2.3.4: version and type always; html, width and height for a rich one.
        self::assertSame(['1.0', 'rich', 'Words & more', 720], [$usual['version'], $usual['type'], $usual['title'], $usual['width']]);
        self::assertSame(320, $narrow['width'], 'maxwidth is kept');
        foreach ([$usual, $narrow] as $one) {
            self::assertIsInt($one['height']);
            self::assertStringContainsString("src=\"$url\"", $one['html']);
        }
        self::assertStringContainsString('maxwidth=320', implode(' ', $theirs['asked']));
    }

    public function test_feeds_are_read_by_others_as_they_were_meant(): void
    {
        foreach (['feed.rss', 'feed.atom'] as $name) {
            $process = new Process(['node', __DIR__.'/read-feed.mjs', config('gnomic.editions')."/embed1test/current/$name"]);
            $read = json_decode($process->mustRun()->getOutput(), true);
            foreach (['feedparser', 'rssParser'] as $by) {
                $titles = array_column($read[$by], 'title');
                sort($titles);
                self::assertCount(2, $titles, "$name by $by");
                self::assertStringContainsString('Fish & "chips"', implode(' ', $titles));
                self::assertContains('https://a.example/1?a=1&b=2', array_column($read[$by], 'url'));
            }
            self::assertStringContainsString('Ein Abend mit Sternen 🌠', implode(' ', array_column($read['rssParser'], 'text')));
        }
    }
}
