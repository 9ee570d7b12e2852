<?php

declare(strict_types=1);

namespace Tests\app;

use App\Models\Site;
use RuntimeException;
use Symfony\Component\Process\Process;

/** Real servers for real HTTP: the stand-ins, and one that does everything wrong. Ended with the test that started them. */
trait Servers
{
    /** @var list<Process> */
    private array $servers = [];

    protected string $standins = '';

    protected string $faults = '';

    protected function tearDown(): void
    {
        foreach ($this->servers as $server) {
            $server->stop(2);
        }
        parent::tearDown();
    }

    protected function startStandins(): void
    {
        $data = getenv('GNOMIC_DATA').'/standins';
        (new Process([PHP_BINARY, base_path('demo/generate.php'), $data, '1795000000']))->mustRun();
        $this->standins = $this->serve(base_path('standins/server.php'), ['STANDINS_DATA' => $data]);
        foreach (['wayleaf', 'ticketwick', 'shutterfen', 'corkwall', 'barrowfair'] as $service) {
            config([
                "gnomic.channels.$service.address" => "$this->standins/$service",
                "gnomic.channels.$service.secret" => 'gnomic-demo-secret',
                "gnomic.channels.$service.client" => 'gnomic',
            ]);
        }
    }

    protected function startFaults(): void
    {
        $this->faults = $this->serve(__DIR__.'/faults/server.php', []);
    }

    /**
     * Does something on the stand-ins' control page.
     *
     * @param  array<string, string|int>  $form
     */
    protected function control(array $form): void
    {
        $context = stream_context_create(
            ['http' => [
                'method' => 'POST',
                'header' => 'Content-Type: application/x-www-form-urlencoded',
                'content' => http_build_query($form),
                'follow_location' => 0,
            ]],
        );
        file_get_contents("$this->standins/", false, $context);
    }

    protected function withKey(Site $site, string $key = 'wl-demo-key-7Q2M'): Site
    {
        $site->credentials()->updateOrCreate(['channel' => 'wayleaf'], ['secret' => $key]);

        return $site;
    }

    /** @param  array<string, string>  $environment */
    private function serve(string $router, array $environment): string
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new RuntimeException('No port is free.');
        $host = (string) stream_socket_get_name($socket, false);
        fclose($socket);
        $server = new Process([PHP_BINARY, '-S', $host, $router], null, $environment);
        $server->start();
        $this->servers[] = $server;
        for ($try = 0; $try < 100; $try++) {
            if (@fsockopen('tcp://'.$host) !== false) {
                config([
                    'gnomic.private_hosts' => [...config('gnomic.private_hosts'), $host],
                    'gnomic.fetch.seconds' => 3,
                    'gnomic.fetch.bytes' => 2 * 1024 * 1024,
                ]);

                return "http://$host";
            }
            usleep(50_000);
        }
        throw new RuntimeException("$router does not answer: ".$server->getErrorOutput());
    }
}
