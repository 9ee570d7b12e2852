<?php

declare(strict_types=1);

namespace App\Providers;

use App\Bench\Grounds\Grounds;
use App\Bench\Grounds\LoadPage;
use App\Editions\Behaviours;
use App\Editions\BringUpToDate;
use App\Editions\Catalogues;
use App\Editions\EditionFiles;
use App\Editions\LookFiles;
use App\Editions\ParsedBriefs;
use App\Editions\PartTemplates;
use App\Editions\RatingPicture;
use App\Editions\Renderer;
use App\Editions\StyleSheets;
use App\Editions\TemplateCompiler;
use App\Editions\WidthRules;
use App\Entries\Listing\Export;
use App\Fetching\Fetcher;
use App\Fetching\Hosts;
use App\Fetching\Reading\ConfinedReading;
use App\Host\Database\WritingConnection;
use App\Host\HostLocks;
use App\Http\KeptSessions;
use App\Outbox\Outbox;
use App\Outbox\Renders;
use App\People\SignIn;
use App\Pictures\PictureFiles;
use App\Pictures\Pictures;
use App\Placing\Codes;
use App\Placing\Counting\CountBeacons;
use App\Placing\Forms;
use App\Placing\Owner\OwnerLinks;
use App\Placing\Pages\CheckPage;
use App\Placing\Pages\ExpectedOnPage;
use App\Placing\Pages\FindPages;
use App\Placing\Pages\SiteRobots;
use App\Placing\SiteScript;
use App\Placing\WidgetKeys;
use App\Sources\Access\Granted;
use App\Sources\Access\OAuthProvider;
use App\Sources\Access\OAuthProviders;
use App\Sources\Channels\Corkwall\CorkwallChannel;
use App\Sources\Channels\Page\PageChannel;
use App\Sources\Channels\Shutterfen\ShutterfenChannel;
use App\Sources\Channels\Ticketwick\TicketwickChannel;
use App\Sources\Channels\Wayleaf\WayleafClient;
use Illuminate\Cache\RateLimiter;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Contracts\Hashing\Hasher;
use Illuminate\Contracts\View\Factory;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Support\Facades\Session;
use Illuminate\Support\Facades\URL;
use Illuminate\Support\Facades\View;
use Illuminate\Support\Facades\Vite;
use Illuminate\Support\ServiceProvider;

/** Hands the configuration to those who need a piece of it. */
final class GnomicServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        Connection::resolverFor('sqlite', fn (mixed ...$of): WritingConnection => new WritingConnection(...$of));
        $this->app->bind(Fetcher::class, fn (): Fetcher => new Fetcher(
            new Hosts(config('gnomic.private_hosts')),
            config('gnomic.fetch.seconds'),
            config('gnomic.fetch.bytes'),
            config('gnomic.fetch.redirects')));
        $this->app->bind(
            WayleafClient::class,
            fn (Application $app): WayleafClient => new WayleafClient(
                $app->make(Fetcher::class),
                config('gnomic.channels.wayleaf.address'),
            ),
        );
        $this->app->bind(
            TicketwickChannel::class,
            fn (Application $app): TicketwickChannel => new TicketwickChannel(
                $app->make(Granted::class),
                config('gnomic.channels.ticketwick.address'),
            ),
        );
        $this->app->bind(
            ShutterfenChannel::class,
            fn (Application $app): ShutterfenChannel => new ShutterfenChannel(
                $app->make(Granted::class),
                config('gnomic.channels.shutterfen.address'),
            ),
        );
        $this->app->bind(
            CorkwallChannel::class,
            fn (Application $app): CorkwallChannel => new CorkwallChannel(
                $app->make(Fetcher::class),
                config('gnomic.channels.corkwall.address'),
            ),
        );
        $this->app->bind(
            PageChannel::class,
            fn (Application $app): PageChannel => new PageChannel(
                $app->make(Fetcher::class),
                $app->make(ConfinedReading::class),
                [config('gnomic.channels.barrowfair.address') => 'Barrow Fair'],
            ),
        );
        $this->app->bind(OAuthProviders::class, fn (): OAuthProviders => new OAuthProviders([
            'ticketwick' => $this->service(
                'ticketwick',
                'Ticketwick',
                ['venues' => 'see which venues you sell tickets for', 'ratings' => 'read what guests rated and wrote, and your replies'],
                300,
            ),
            'shutterfen' => $this->service(
                'shutterfen',
                'Shutterfen',
                [
                    'profile' => 'see your name, picture and bio',
                    'photos' => 'read your posts with their likes and comments',
                    'hashtags' => 'read public posts with hashtags you name',
                    'mentions' => 'read posts of others that mention you',
                ],
                7 * 86_400,
            ),
        ]));
        $this->app->bind(HostLocks::class, fn (): HostLocks => new HostLocks(config('gnomic.locks')));
        $this->app->bind(ConfinedReading::class, fn (): ConfinedReading => new ConfinedReading(
            base_path('bin/lib/read-confined.php'),
            config('gnomic.reading.seconds'),
            config('gnomic.reading.megabytes'),
        ));
        $this->app->bind(EditionFiles::class, fn (): EditionFiles => new EditionFiles(config('gnomic.editions')));
        $this->app->bind(Pictures::class, fn (): Pictures => new Pictures(rtrim((string) config('app.url'), '/')));
        $this->app->bind(PictureFiles::class, fn (): PictureFiles => new PictureFiles(config('gnomic.editions').'/p'));
        $this->app->bind(Export::class, fn (): Export => new Export(rtrim((string) config('app.url'), '/')));
        $this->app->singleton(Catalogues::class, fn (): Catalogues => new Catalogues(resource_path('words')));
        $this->app->singleton(LookFiles::class, fn (): LookFiles => new LookFiles(resource_path('looks')));
        $this->app->singleton(StyleSheets::class, fn (): StyleSheets => new StyleSheets(resource_path('widget'), new WidthRules));
        $this->app->singleton('blade.compiler', fn (Application $app): TemplateCompiler => new TemplateCompiler(
            $app->make(Filesystem::class),
            config()->string('view.compiled'),
            new PartTemplates(resource_path('widget')),
        ));
        $this->app->singleton(Behaviours::class, fn (): Behaviours => new Behaviours(public_path('b/manifest.json')));
        $this->app->singleton(
            Renderer::class,
            fn (Application $app): Renderer => new Renderer(
                $app->make(Factory::class),
                $app->make(StyleSheets::class),
                $app->make(Behaviours::class),
                rtrim((string) config('app.url'), '/'),
                resource_path('widget'),
                $app->make(RatingPicture::class),
            ),
        );
        $this->app->bind(Grounds::class, fn (Application $app): Grounds => new Grounds(
            $app->make(LoadPage::class),
            $app->make(Behaviours::class),
            rtrim((string) config('app.url'), '/'),
        ));
        $this->app->bind(Renders::class, BringUpToDate::class);
        $this->app->singleton(ParsedBriefs::class);
        $this->app->bind(CountBeacons::class, fn (Application $app): CountBeacons => new CountBeacons(
            config('gnomic.beacons'),
            $app->make(HostLocks::class),
        ));
        $this->app->bind(RatingPicture::class, fn (): RatingPicture => new RatingPicture(config('gnomic.font')));
        $this->app->bind(Codes::class, fn (): Codes => new Codes(
            rtrim((string) config('app.url'), '/'),
            resource_path('codes'),
        ));
        $this->app->bind(OwnerLinks::class, fn (): OwnerLinks => new OwnerLinks((string) config('app.key')));
        $host = fn (): string => rtrim((string) config('app.url'), '/');
        $this->app->bind(FindPages::class, fn (Application $app): FindPages => new FindPages(
            $app->make(Fetcher::class),
            $app->make(ConfinedReading::class),
            $app->make(SiteRobots::class),
            $host(),
        ));
        $this->app->bind(ExpectedOnPage::class, fn (): ExpectedOnPage => new ExpectedOnPage($host()));
        $this->app->bind(CheckPage::class, fn (Application $app): CheckPage => new CheckPage(
            $app->make(Fetcher::class),
            $app->make(ExpectedOnPage::class),
            $host(),
        ));
        $this->app->bind(SiteScript::class, fn (Application $app): SiteScript => new SiteScript(
            public_path('site.js'),
            config('gnomic.editions'),
            rtrim((string) config('app.url'), '/'),
            $app->make(HostLocks::class),
        ));
        $this->app->bind(Forms::class, fn (Application $app): Forms => new Forms(
            $app->make(Outbox::class),
            $app->make(WidgetKeys::class),
            config('gnomic.editions'),
        ));
        $this->app->bind(SignIn::class, fn (Application $app): SignIn => new SignIn(
            $app->make(RateLimiter::class),
            $app->make(Hasher::class),
            $app->make(HostLocks::class),
            (int) config('hashing.bcrypt.rounds', 12),
            fn (float $seconds) => usleep((int) ($seconds * 1_000_000)),
        ));
    }

    /** @param  array<string, string>  $scopes */
    private function service(string $channel, string $name, array $scopes, int $renewBefore): OAuthProvider
    {
        ['address' => $address, 'client' => $client, 'secret' => $secret] = config("gnomic.channels.$channel");

        return new OAuthProvider(
            $channel,
            $name,
            $address,
            $client,
            $secret,
            rtrim((string) config('app.url'), '/')."/grants/$channel/return",
            $scopes,
            $renewBefore,
            $this->app->make(Fetcher::class),
        );
    }

    public function boot(): void
    {
        Model::preventLazyLoading(false);
        View::addNamespace('widget', resource_path('widget'));
        $this->ownAddresses();
        Session::extend('file', fn (Application $app): KeptSessions => new KeptSessions(
            $app->make(Filesystem::class),
            (string) config('session.files'),
            (int) config('session.lifetime'),
        ));
    }

    /** Every address is built from the one that the owner has set, whatever name a request came by. */
    private function ownAddresses(): void
    {
        $url = rtrim((string) config('app.url'), '/');
        URL::useOrigin($url);
        URL::forceScheme(str_starts_with($url, 'https:') ? 'https' : 'http');
        // Parts of the studio are asked of wherever it was opened.
        Vite::createAssetPathsUsing(fn (string $path): string => '/'.ltrim($path, '/'));
        $proxies = array_values(array_filter(array_map(trim(...), explode(',', (string) config('gnomic.trusted_proxies')))));
        TrustProxies::at($proxies === ['*'] ? '*' : $proxies);
    }
}
