<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\RoundOutcome;
use App\Models\Site;
use App\Models\Source;
use App\Models\Subject;
use App\Models\User;
use App\Outbox\Outbox;
use App\Outbox\Renders;
use App\Placing\Counting\CountBeacons;
use App\Placing\Pages\CheckDuePages;
use App\Placing\Pages\ReadPages;
use App\Placing\Spots;
use App\Sources\Rounds\Rounds;
use Carbon\CarbonImmutable;
use Gnomic\Brief\BriefReader;
use Gnomic\Place\Spot\Spot;
use Gnomic\Shape\Parts\Parts;
use Illuminate\Database\Seeder;
use RuntimeException;

/** The invented observatory: an owner, a site, three sources with one round each, widgets, their places, and who saw them. */
final class DemoSeeder extends Seeder
{
    /** As read from the light parts of the observatory's pages. */
    private const PAGE = ['name' => 'window', 'scheme' => 'light', 'light' => [
        'behind' => '#ffffff', 'ink' => '#23283a', 'quiet' => '#5b6178', 'line' => '#dcdde4', 'accent' => '#20263c',
        'rating' => '#a8701a', 'link' => '#23283a', 'control' => '#20263c',
    ]];

    public function run(Rounds $rounds, Outbox $outbox, Renders $editions, Spots $spots, CountBeacons $count): void
    {
        $standins = rtrim(config()->string('gnomic.demo.standins'), '/');
        if (Site::query()->exists()) {
            // The demo may have been started at another port since.
            foreach (Source::query()->where('address', 'like', 'http://127.0.0.1:%')->get() as $source) {
                $source->update(
                    ['address' => (string) preg_replace(
                        '~^http://127\.0\.0\.1:\d+(?=/(?:rookcall|barrowfair)/)~',
                        $standins,
                        $source->address,
                    )],
                );
            }

            Site::query()->update(['website' => config()->string('gnomic.demo.site')]);

            return;
        }
        $owner = User::query()->create(['name' => 'Hester Quill', 'email' => 'owner@quillmoor.example', 'password' => 'harrow-lane-1926']);
        $site = Site::query()->create([
            'name' => 'Quillmoor Observatory',
            'address' => 'quillmoor.example',
            'key' => 'quillmoor1926',
            'website' => config()->string('gnomic.demo.site'),
            'timezone' => 'Europe/London',
            'languages' => ['en', 'de'],
        ]);
        $site->members()->attach($owner->id);
        $site->credentials()->create(['channel' => 'wayleaf', 'secret' => 'wl-demo-key-7Q2M']);

        $this->subjects($site, $standins);
        foreach ([
            ['the-dome', 'the Dome', 'wayleaf', 'wl-dome'],
            ['harrow-lane', 'Harrow Lane', 'wayleaf', 'wl-harrow'],
            ['rookcall', 'Rookcall', 'feed', "$standins/rookcall/quillmoor/feed.atom"],
        ] as [$key, $name, $channel, $address]) {
            $subject = ['the-dome' => 'The Dome', 'harrow-lane' => 'Harrow Lane Planetarium'][$key] ?? 'Quillmoor Observatory';
            $source = $site->sources()
                ->create([
                    'subject_id' => Subject::named($site, $subject)->id,
                    'key' => $key,
                    'name' => $name,
                    'channel' => $channel,
                    'address' => $address,
                    'cadence' => config('gnomic.cadence'),
                    'next_at' => now(),
                ]);
            $round = $rounds->run($source);
            if ($round?->outcome !== RoundOutcome::Changed) {
                throw new RuntimeException("The round of $name failed: $round?->reason");
            }
        }

        foreach ([
            ['dome4visit', 'Dome, visit page', ['version' => 4,
                'gather' => ['sources' => ['the-dome'], 'kinds' => ['review']],
                'sift' => ['stars' => ['from' => 4], 'withWords' => true, 'limit' => 9],
                'shape' => ['layout' => ['name' => 'carousel']], 'dress' => self::PAGE]],
            ['harrow7talk', 'Planetarium, foyer', ['version' => 4,
                'gather' => ['sources' => ['harrow-lane'], 'kinds' => ['review']],
                'sift' => ['withWords' => true, 'limit' => 5],
                'shape' => ['layout' => ['name' => 'list']],
                'dress' => ['name' => 'night-ink', 'dark' => ['ground' => '#161b2c00', 'behind' => '#161b2c']]]],
            ['hill4posts0', 'Posts from the hill', ['version' => 4,
                'gather' => ['sources' => ['rookcall'], 'kinds' => ['post']],
                'sift' => ['limit' => 8], 'shape' => ['layout' => ['name' => 'carousel', 'across' => 4]]]],
            ['home3band0', 'Home, what people say', ['version' => 4,
                'gather' => ['sources' => ['the-dome', 'harrow-lane'], 'kinds' => ['review']],
                'sift' => ['stars' => ['from' => 4], 'withWords' => true, 'most' => ['source' => 4], 'limit' => 6],
                'shape' => ['layout' => ['name' => 'grid'], 'heading' => 'What people say', 'actions' => [['does' => 'review']],
                    'names' => 'short', 'at' => ['phone' => ['layout' => ['name' => 'carousel']]]],
                'dress' => ['light' => ['behind' => '#f7f4ec', 'line' => '#dcd5c0'] + self::PAGE['light']] + self::PAGE]],
            ['hill9strip', 'Strip above the foot', ['version' => 4,
                'gather' => ['sources' => ['rookcall']],
                'sift' => ['withPictures' => true, 'limit' => 16],
                'shape' => ['layout' => ['name' => 'strip', 'size' => 128], 'head' => [], 'honest' => false,
                    'frame' => ['edge' => true, 'gap' => 0]]]],
            ['hill6wall0', 'About, the wall', ['version' => 4,
                'gather' => ['sources' => ['rookcall'], 'kinds' => ['post']],
                'sift' => ['withPictures' => true, 'limit' => 11],
                'shape' => ['layout' => ['name' => 'mosaic'], 'head' => [], 'more' => 'button', 'honest' => false],
                'dress' => self::PAGE]],
            ['about1line', 'About, one voice', ['version' => 4,
                'gather' => ['sources' => ['harrow-lane'], 'kinds' => ['review']],
                'sift' => ['stars' => ['from' => 4], 'length' => ['from' => 60], 'limit' => 6],
                'shape' => ['layout' => ['name' => 'one-at-a-time'], 'head' => [], 'card' => ['words', 'face', 'name', 'source']],
                'dress' => self::PAGE]],
            ['dome8seal0', 'About, the seal', ['version' => 4,
                'gather' => ['sources' => ['the-dome']],
                'shape' => ['layout' => ['name' => 'rating', 'form' => 'seal']], 'dress' => self::PAGE]],
            ['shop2short', 'Shop, a column', ['version' => 4,
                'gather' => ['sources' => ['the-dome', 'harrow-lane']],
                'sift' => ['withWords' => true, 'limit' => 4],
                'shape' => ['layout' => ['name' => 'list', 'column' => true], 'head' => ['overall', 'count', 'spread'],
                    'card' => ['words', 'name', 'date'], 'date' => 'relative', 'names' => 'short', 'more' => 'button',
                    'choosing' => ['by' => 'stars'], 'frame' => ['padding' => 28]],
                'dress' => ['tokens' => ['head' => 'figure', 'pad' => 22], 'light' => ['ground' => '#f7f4ec', 'line' => '#dcd5c0']
                    + self::PAGE['light']] + self::PAGE]],
            ['shop5rows0', 'Shop, photo rows', ['version' => 4,
                'gather' => ['sources' => ['rookcall']],
                'sift' => ['withPictures' => true, 'limit' => 18],
                'shape' => ['layout' => ['name' => 'photo-rows', 'rowHeight' => 190], 'head' => [], 'honest' => false,
                    'frame' => ['gap' => 4]], 'dress' => self::PAGE]],
            ['quill7mark', 'Badge on every page', ['version' => 4,
                'sift' => ['withWords' => true, 'limit' => 20],
                'shape' => ['layout' => ['name' => 'panel', 'form' => 'badge'], 'heading' => 'What people say of the observatory',
                    'head' => ['overall', 'count', 'faces'], 'card' => [...Parts::usual(), 'translation'],
                    'actions' => [['does' => 'review'], ['does' => 'all']]],
                'dress' => ['name' => 'paper', 'light' => self::PAGE['light']]]],
            ['about5sky0', 'About, over the picture', ['version' => 4,
                'gather' => ['sources' => ['the-dome', 'harrow-lane'], 'kinds' => ['review']],
                'sift' => ['stars' => ['from' => 4], 'length' => ['from' => 40], 'limit' => 6],
                'shape' => ['layout' => ['name' => 'one-at-a-time'], 'head' => [], 'composition' => 'quotation',
                    'card' => ['rating', 'words', 'name', 'date']],
                // As read from that band of the page; its picture may be of any colour.
                'dress' => ['name' => 'window', 'scheme' => 'dark', 'tokens' => ['size' => 106],
                    'dark' => ['ground' => '#20263c00', 'behind' => '#000000', 'behindTo' => '#ffffff', 'ink' => '#ffffff',
                        'quiet' => '#d7dbea', 'accent' => '#ffffff', 'rating' => '#f3d48a', 'link' => '#ffffff',
                        'control' => '#ffffff']]]],
            ['home4notes', 'Home, a ticker', ['version' => 4,
                'gather' => ['sources' => ['rookcall'], 'kinds' => ['post']],
                'sift' => ['limit' => 10],
                'shape' => ['layout' => ['name' => 'ticker'], 'head' => [], 'card' => ['words', 'date'], 'click' => 'source'],
                'dress' => self::PAGE]],
        ] as [$key, $name, $brief]) {
            $widget = $site->widgets()->create(['key' => $key, 'name' => $name, 'brief' => BriefReader::read($brief)->toArray()]);
            if ($key !== 'hill4posts0') {
                $outbox->widget($widget, $widget->draft(), 'The demo');
            }
        }
        $editions->workOff($site->id);
        $this->spots($site, $spots);
        $editions->workOff($site->id);
        (new DemoVisits($site))->write(config()->string('gnomic.beacons'), CarbonImmutable::now());
        $count->run();
        ReadPages::begin($site);
        dispatch((new CheckDuePages($site->id))->delay(5));
    }

    /** Where widgets stand: by their own tags, and by the one tag of the site. */
    private function spots(Site $site, Spots $spots): void
    {
        foreach ([
            ['dome4visit', ['pages' => ['/visit']]],
            ['harrow7talk', ['pages' => ['/planetarium']]],
            ['home3band0', ['pages' => ['/']]],
            [
                'hill9strip',
                ['pages' => ['/', '/about', '/shop'], 'position' => 'inside', 'selector' => '.edge', 'named' => 'the edge above the foot'],
            ],
            ['quill7mark', ['pages' => ['/', '/about', '/shop', '/venues/*'], 'position' => 'inside', 'selector' => 'body > footer',
                'named' => 'the foot of the page']],
            ['shop2short', ['pages' => ['/venues/*'], 'position' => 'after', 'selector' => '.place', 'named' => 'the picture of the place',
                'follows' => 'schema', 'elseUsual' => false, 'overrides' => ['most' => 3, 'layout' => 'grid']]],
            ['shop2short', ['pages' => ['/shop']]],
        ] as [$key, $spot]) {
            $spots->put($site, $site->widgets()->where('key', $key)->firstOrFail(), Spot::read($spot));
        }
    }

    /** What the observatory is spoken of for, and where each can be found; most of it waits to be connected. */
    private function subjects(Site $site, string $standins): void
    {
        foreach ([
            ['Quillmoor Observatory', 'Organization', ['feed' => "$standins/rookcall/quillmoor/feed.atom", 'shutterfen' => 'photos']],
            ['The Dome', 'Venue', ['wayleaf' => 'wl-dome', 'ticketwick' => 'tv-dome']],
            ['Harrow Lane Planetarium', 'Venue', ['wayleaf' => 'wl-harrow', 'ticketwick' => 'tv-harrow']],
            ['Skerry Field Station', 'Venue', ['wayleaf' => 'wl-new']],
            ['Pocket Star Wheel', 'Product', ['page' => "$standins/barrowfair/items/star-wheel"]],
            ['Red Lantern', 'Product', ['page' => "$standins/barrowfair/items/red-lantern"]],
            ['Moon Atlas', 'Product', ['page' => "$standins/barrowfair/items/moon-atlas"]],
            ['The mirror-making weekend', 'Event', []],
        ] as [$name, $kind, $addresses]) {
            $subject = Subject::named($site, $name, $kind);
            foreach ($addresses as $channel => $address) {
                $subject->addresses()->create(['channel' => $channel, 'address' => $address]);
            }
        }
    }
}
