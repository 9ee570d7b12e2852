<?php

declare(strict_types=1);

namespace App\Sources;

use App\Fetching\Fetcher;
use App\Fetching\Reading\ConfinedReading;
use App\Host\KnowsHost;
use App\Sources\Access\Granted;
use App\Sources\Access\OAuthProvider;
use App\Sources\Access\OAuthProviders;
use App\Sources\Channels\Corkwall\CorkwallChannel;
use App\Sources\Channels\Page\PageChannel;
use App\Sources\Channels\Shutterfen\ShutterfenChannel;
use App\Sources\Channels\Ticketwick\TicketwickChannel;
use App\Sources\Channels\Wayleaf\WayleafClient;
use Gnomic\Json\Value;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Support\ServiceProvider;

/** Outside services: their addresses, and what access to them is granted by. */
final class SourcesProvider extends ServiceProvider
{
    use KnowsHost;

    public function register(): void
    {
        $this->app->bind(
            WayleafClient::class,
            fn (Application $app): WayleafClient => new WayleafClient(
                $app->make(Fetcher::class),
                config()->string('gnomic.channels.wayleaf.address'),
            ),
        );
        $this->app->bind(
            TicketwickChannel::class,
            fn (Application $app): TicketwickChannel => new TicketwickChannel(
                $app->make(Granted::class),
                config()->string('gnomic.channels.ticketwick.address'),
            ),
        );
        $this->app->bind(
            ShutterfenChannel::class,
            fn (Application $app): ShutterfenChannel => new ShutterfenChannel(
                $app->make(Granted::class),
                config()->string('gnomic.channels.shutterfen.address'),
            ),
        );
        $this->app->bind(
            CorkwallChannel::class,
            fn (Application $app): CorkwallChannel => new CorkwallChannel(
                $app->make(Fetcher::class),
                config()->string('gnomic.channels.corkwall.address'),
            ),
        );
        $this->app->bind(
            PageChannel::class,
            fn (Application $app): PageChannel => new PageChannel(
                $app->make(Fetcher::class),
                $app->make(ConfinedReading::class),
                [config()->string('gnomic.channels.barrowfair.address') => 'Barrow Fair'],
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
    }

    /** @param  array<string, string>  $scopes */
    private function service(string $channel, string $name, array $scopes, int $renewBefore): OAuthProvider
    {
        ['address' => $address, 'client' => $client, 'secret' => $secret] = Value::named(config("gnomic.channels.$channel"));

        return new OAuthProvider(
            $channel,
            $name,
            $address,
            $client,
            $secret,
            $this->host()."/grants/$channel/return",
            $scopes,
            $renewBefore,
            $this->app->make(Fetcher::class),
        );
    }
}
