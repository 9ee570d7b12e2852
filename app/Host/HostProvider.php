<?php

declare(strict_types=1);

namespace App\Host;

use App\Host\Database\WritingConnection;
use Closure;
use Illuminate\Database\Connection;
use Illuminate\Support\ServiceProvider;
use PDO;

/** What the machine has: its database, its locks. */
final class HostProvider extends ServiceProvider
{
    public function register(): void
    {
        Connection::resolverFor('sqlite', fn (
            PDO|Closure $pdo,
            string $database,
            string $prefix,
            array $config,
        ): WritingConnection => new WritingConnection($pdo, $database, $prefix, $config));
        $this->app->bind(HostLocks::class, fn (): HostLocks => new HostLocks(config()->string('gnomic.locks')));
    }
}
