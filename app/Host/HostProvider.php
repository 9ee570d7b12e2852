<?php

declare(strict_types=1);

namespace App\Host;

use App\Host\Database\WritingConnection;
use Illuminate\Database\Connection;
use Illuminate\Support\ServiceProvider;

/** What the machine has: its database, its locks. */
final class HostProvider extends ServiceProvider
{
    public function register(): void
    {
        Connection::resolverFor('sqlite', fn (mixed ...$of): WritingConnection => new WritingConnection(...$of));
        $this->app->bind(HostLocks::class, fn (): HostLocks => new HostLocks(config()->string('gnomic.locks')));
    }
}
