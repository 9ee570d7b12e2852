<?php

declare(strict_types=1);

namespace Tests\app;

use CurlHandle;
use PDO;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/**
 * An instance as a host runs it: nginx and PHP-FPM by the configuration that Gnomic writes, and in front of them a second nginx with
 * TLS and another name. What is not meant to be public is not served; what visitors are given sets no cookie and runs no script.
 */
final class ServedTest extends TestCase
{
    private const NAME = 'reviews.quillmoor.test';

    private const KEY = 'served1234';

    /** What the tests' own settings must not say to an instance of its own. */
    private const UNSET = ['APP_ENV' => false, 'DB_DATABASE' => false, 'CACHE_STORE' => false, 'QUEUE_CONNECTION' => false,
        'SESSION_DRIVER' => false, 'APP_URL' => false, 'APP_KEY' => false, 'BCRYPT_ROUNDS' => false];

    private static string $data = '';

    private static ?CurlHandle $curl = null;

    private static int $inner = 0;

    private static int $outer = 0;

    /** @var list<Process> */
    private static array $servers = [];

    public static function setUpBeforeClass(): void
    {
        self::$data = sys_get_temp_dir().'/gnomic-served-'.getmypid();
        [self::$inner, self::$outer] = [self::port(), self::port()];
        foreach (['w/p', 'run/tmp', 'logs', 'storage/app', 'storage/logs', 'storage/framework/cache/data', 'storage/framework/sessions',
            'storage/framework/views'] as $folder) {
            mkdir(self::$data."/$folder", 0755, true);
        }
        $url = 'https://'.self::NAME.':'.self::$outer;
        file_put_contents(self::$data.'/.env', implode("\n", [
            'APP_KEY=base64:MDEyMzQ1Njc4OTAxMjM0NTY3ODkwMTIzNDU2Nzg5MDE=',
            'APP_ENV=production',
            "APP_URL=$url",
            'BCRYPT_ROUNDS=4',
            'GNOMIC_TRUSTED_PROXIES=127.0.0.1',
            'GNOMIC_TICKETWICK=http://127.0.0.1:9',
            '',
        ]));
        touch(self::$data.'/gnomic.sqlite');
        self::php('artisan', 'migrate', '--force', '--quiet')->mustRun();
        $owner = self::php('artisan', 'gnomic:owner', 'owner@quillmoor.example', '--site=Quillmoor', '--address=quillmoor.example')->mustRun();
        preg_match('/signs in with (\S+)/', $owner->getOutput(), $found);
        file_put_contents(self::$data.'/password', $found[1] ?? '');
        $edition = self::$data.'/w/'.self::KEY;
        mkdir("$edition/0123456789abcdef", 0755, true);
        $files = ['widget.html', 'document.html', 'feed.json', 'all.html', 'all.1.html', 'at.de.html', 'open.fr.html', 'sizes.json', 'pages.json'];
        foreach ($files as $file) {
            file_put_contents("$edition/0123456789abcdef/$file", $file);
        }
        symlink('0123456789abcdef', "$edition/current");
        file_put_contents(self::$data.'/w/p/0123456789abcdef01234567-96.webp', 'picture');
        self::php('bin/lib/server-config.php', self::$data, (string) self::$inner, self::user())->mustRun();
        self::start(['php-fpm8.2', '--nodaemonize', ...(posix_geteuid() === 0 ? ['-R'] : []), '-y', self::$data.'/run/fpm.conf']);
        self::start(['nginx', '-e', 'stderr', '-p', self::$data.'/run', '-c', self::$data.'/run/nginx.conf']);
        self::front();
        if (posix_geteuid() === 0) {
            (new Process(['chown', '-R', self::user(), self::$data]))->mustRun();
        }
        for ($try = 0; $try < 100 && self::asked('/sources')['status'] !== 200; $try++) {
            usleep(100_000);
        }
    }

    public static function tearDownAfterClass(): void
    {
        foreach (self::$servers as $server) {
            $server->stop(3);
        }
        exec('rm -rf '.escapeshellarg(self::$data));
    }

    private static function user(): string
    {
        return posix_geteuid() === 0 && is_readable('/etc/passwd') && str_contains((string) file_get_contents('/etc/passwd'), 'www-data:')
            && (fileperms(dirname(__DIR__, 2)) & 0005) === 0005 ? 'www-data' : (string) (posix_getpwuid(posix_geteuid())['name'] ?? 'root');
    }

    /** The second web server, as owners have one: its own name, its own certificate, everything passed on. */
    private static function front(): void
    {
        [$data, $inner, $outer, $name] = [self::$data, self::$inner, self::$outer, self::NAME];
        mkdir("$data/front/tmp", 0755, true);
        (new Process(['openssl', 'req', '-x509', '-newkey', 'rsa:2048', '-nodes', '-days', '2', '-subj', "/CN=$name", '-addext',
            "subjectAltName=DNS:$name", '-keyout', "$data/front/key.pem", '-out', "$data/front/cert.pem"]))->mustRun();
        $temporary = implode("\n", array_map(
            fn (string $kind): string => "{$kind}_temp_path $data/front/tmp/$kind;",
            ['client_body', 'proxy', 'fastcgi', 'uwsgi', 'scgi'],
        ));
        file_put_contents("$data/front/nginx.conf", <<<NGINX
            daemon off;
            pid $data/front/nginx.pid;
            events { worker_connections 64; }
            http {
                access_log off;
                $temporary
                server {
                    listen 127.0.0.1:$outer ssl;
                    server_name $name;
                    ssl_certificate $data/front/cert.pem;
                    ssl_certificate_key $data/front/key.pem;
                    location / {
                        proxy_pass http://127.0.0.1:$inner;
                        proxy_set_header Host \$http_host;
                        proxy_set_header X-Forwarded-For \$http_x_test_address;
                        proxy_set_header X-Forwarded-Proto https;
                    }
                }
            }
            NGINX);
        self::start(['nginx', '-e', 'stderr', '-p', "$data/front", '-c', "$data/front/nginx.conf"]);
    }

    /** @param  list<string>  $command */
    private static function start(array $command): void
    {
        $server = new Process($command, null, ['GNOMIC_DATA' => self::$data] + self::UNSET, null, null);
        $server->start();
        self::$servers[] = $server;
    }

    private static function php(string ...$arguments): Process
    {
        return new Process([PHP_BINARY, ...$arguments], dirname(__DIR__, 2), ['GNOMIC_DATA' => self::$data] + self::UNSET, null, 120);
    }

    private static function port(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: self::fail('no port');
        $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        fclose($socket);

        return $port;
    }

    /**
     * Asked of the second server, by its name.
     *
     * @param  array<int, mixed>  $more  for curl; what has none goes over one connection
     * @return array{status: int, headers: string, body: string}
     */
    private static function asked(string $path, array $more = []): array
    {
        self::$curl ??= curl_init();
        $curl = $more === [] ? self::$curl : curl_init();
        $name = self::NAME.':'.self::$outer;
        curl_setopt_array($curl, [
            CURLOPT_URL => "https://$name$path",
            CURLOPT_RESOLVE => ["$name:127.0.0.1"],
            CURLOPT_PATH_AS_IS => true,
            CURLOPT_SSL_VERIFYPEER => false,
            CURLOPT_TIMEOUT => 20,
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_HEADER => true,
        ] + $more);
        [$headers, $body] = explode("\r\n\r\n", curl_exec($curl)."\r\n\r\n", 2);

        return [
            'status' => (int) curl_getinfo($curl, CURLINFO_RESPONSE_CODE),
            'headers' => strtolower($headers),
            'body' => rtrim($body, "\r\n"),
        ];
    }

    /** @return list<string> headers of who sends JSON, with the token that a cookie brought */
    private static function asJson(string $token): array
    {
        return ['Content-Type: application/json', 'Accept: application/json', 'X-XSRF-TOKEN: '.urldecode($token)];
    }

    /** @return list<array{string, string}> address and what it answers with */
    private static function publicPaths(): array
    {
        $key = '/w/'.self::KEY;

        return [[$key, 'document.html'], ["$key/", 'document.html'], ["$key.html", 'widget.html'], ["$key/open.html", 'widget.html'],
            ["$key.json", 'feed.json'], ["$key/all.html", 'all.html'], ["$key/all.1.html", 'all.1.html'], ["$key/at.de.html", 'at.de.html'],
            ["$key/open.fr.html", 'open.fr.html'], ["$key/open.und.html", 'widget.html'], ["$key/at.fr.html", 'open.fr.html'],
            ['/w/p/0123456789abcdef01234567-96.webp', 'picture']];
    }

    public function test_what_visitors_are_given_sets_no_cookie_and_runs_no_script(): void
    {
        foreach (self::publicPaths() as [$path, $answer]) {
            $given = self::asked($path);
            self::assertSame([200, $answer], [$given['status'], $given['body']], $path);
            self::assertStringContainsString('access-control-allow-origin: *', $given['headers'], $path);
            if (! str_contains($path, '/p/')) {
                self::assertMatchesRegularExpression("~content-security-policy: default-src 'none'; script-src [^;]*/gnomic\\.js [^;]*/b/;~", $given['headers']);
                self::assertStringNotContainsString("script-src 'self'", $given['headers'], $path);
                self::assertStringContainsString('stale-if-error=604800', $given['headers']);
            }
        }
        foreach ([...array_column(self::publicPaths(), 0), '/gnomic.js', '/favicon.ico', '/robots.txt', '/w/nosuchkey', '/w/', '/w/p/x', '/nothing',
            '/build/x.js', '/index.php', '/w/'.self::KEY.'.php'] as $path) {
            $given = self::asked($path);
            self::assertStringNotContainsString('set-cookie', $given['headers'], "$path sets a cookie");
            self::assertStringContainsString('x-content-type-options: nosniff', $given['headers'], $path);
        }
        self::assertStringContainsString('max-age=60', self::asked('/w/nosuchkey')['headers'], 'nobody asks again and again');
        self::assertStringStartsWith('(function(GNOMIC_HOST){', self::asked('/gnomic.js')['body']);
        self::assertStringEndsWith('})("https://'.self::NAME.':'.self::$outer.'");', self::asked('/gnomic.js')['body']);
    }

    public function test_what_visitors_do_is_written_down_and_nothing_of_who_they_are(): void
    {
        $plain = self::port();
        self::start([PHP_BINARY, '-S', "127.0.0.1:$plain", dirname(__DIR__, 2).'/bin/lib/plain-server.php']);
        for ($try = 0; $try < 100 && @fsockopen('127.0.0.1', $plain) === false; $try++) {
            usleep(50_000);
        }
        $folder = self::$data.'/run/beacons';
        foreach (['https://'.self::NAME.':'.self::$outer, "http://127.0.0.1:$plain"] as $host) {
            array_map(fn (string $file): int|false => file_put_contents($file, ''), glob("$folder/*.log") ?: []);
            $send = function (string ...$more): string {
                $curl = new Process(['curl', '-s', '-k', '-i', '--resolve', self::NAME.':'.self::$outer.':127.0.0.1', '-X', 'POST', ...$more]);

                return strtolower($curl->mustRun()->getOutput());
            };
            $beacon = "$host/t?h=a.example&p=/x&d=served1234.9.1.1.0.0.0.0.";
            $told = $send('-A', 'Mozilla/5.0', $beacon);
            self::assertStringContainsString(' 204', (string) strtok($told, "\r"));
            self::assertStringNotContainsString('set-cookie', $told);
            foreach ([['-H', 'DNT: 1'], ['-H', 'Sec-GPC: 1'], ['-A', 'ExampleBot/2.0'], ['-A', 'a web crawler']] as $who) {
                $send(...[...$who, $beacon]);
            }
            $send('-A', 'Mozilla/5.0', '--data', str_repeat('x', 5_000), "$host/t?".str_repeat('y', 200));
            $written = implode('', array_map(fn (string $file): string => (string) file_get_contents($file), glob("$folder/*.log") ?: []));
            self::assertMatchesRegularExpression('~^\d{10}\.\d{3} h=a\.example&p=/x&d=served1234\.9\.1\.1\.0\.0\.0\.0\.\n~', $written);
            self::assertSame(1, substr_count($written, 'served1234'), $host);
            self::assertDoesNotMatchRegularExpression('/127\.0\.0\.1|Mozilla|Bot/', $written, 'no address and no agent');
        }
    }

    public function test_the_hour_is_named_in_utc_wherever_the_host_is(): void
    {
        foreach (['America/New_York', 'Pacific/Kiritimati', 'Asia/Kolkata', 'Europe/London', 'Pacific/Marquesas'] as $number => $zone) {
            [$data, $port, $plain] = [self::$data."/zone-$number", self::port(), self::port()];
            mkdir("$data/run/tmp", 0755, true);
            mkdir("$data/logs");
            self::php('bin/lib/server-config.php', $data, (string) $port, self::user())->mustRun();
            $servers = [
                new Process(['nginx', '-e', 'stderr', '-p', "$data/run", '-c', "$data/run/nginx.conf"], null, ['TZ' => $zone]),
                new Process([PHP_BINARY, '-d', "date.timezone=$zone", '-S', "127.0.0.1:$plain", dirname(__DIR__, 2).'/bin/lib/plain-server.php'], null, ['TZ' => $zone, 'GNOMIC_DATA' => $data]),
            ];
            foreach ($servers as $at => $server) {
                array_map(unlink(...), glob("$data/run/beacons/*") ?: []);
                $server->start();
                $hour = gmdate('Y-m-d\TH');
                (new Process(['curl', '-s', '--retry', '40', '--retry-connrefused', '--retry-delay', '0', '--retry-max-time', '10', '-A', 'Mozilla/5.0', '-X', 'POST',
                    'http://127.0.0.1:'.[$port, $plain][$at].'/t?h=a.example&p=/']))->mustRun();
                usleep(100_000);
                self::assertContains(array_map(basename(...), glob("$data/run/beacons/*.log") ?: []), [["$hour.log"], [gmdate('Y-m-d\TH').'.log']], $zone);
                $server->stop(3);
            }
        }
    }

    public function test_who_sends_too_much_is_not_written_down(): void
    {
        $folder = self::$data.'/run/beacons';
        $sent = fn (): int => substr_count(implode('', array_map(fn (string $file): string => (string) file_get_contents($file), glob("$folder/*.log") ?: [])), "\n");
        $send = function (int $times, string $from, string ...$more): void {
            $addresses = implode(' ', array_map(fn (int $n): string => 'http://127.0.0.1:'.self::$inner."/t?n=$n", range(1, $times)));
            (new Process(['curl', '-s', '--no-progress-meter', '-A', 'Mozilla/5.0', '-X', 'POST', '-H', "X-Forwarded-For: $from", ...$more, ...explode(' ', $addresses)]))->mustRun();
        };
        $before = $sent();
        $send(900, '2001:db8:1:2::1');
        $bounded = $sent() - $before;
        self::assertGreaterThanOrEqual(700, $bounded);
        self::assertLessThan(800, $bounded);
        $send(20, '2001:db8:1:2:3:4:5:6');
        self::assertLessThan(820, $sent() - $before, 'of one network');
        $before = $sent();
        $send(20, '2001:db8:1:3::1');
        $send(20, '203.0.113.7');
        self::assertSame(40, $sent() - $before, 'others are heard');
        $large = self::$data.'/large';
        file_put_contents($large, str_repeat('x', 1_000_000));
        $send(1, '203.0.113.8', '--data-binary', "@$large");
        $send(1, '203.0.113.8', '-H', 'Transfer-Encoding: chunked', '--data-binary', "@$large");
        touch("$folder/full");
        $send(3, '203.0.113.8');
        unlink("$folder/full");
        self::assertSame(40, $sent() - $before, 'with a body, or while the folder is full');
        self::assertStringNotContainsString('203.0.113', implode('', array_map(fn (string $file): string => (string) file_get_contents($file), glob(self::$data.'/{run/beacons,logs}/*.log', GLOB_BRACE) ?: [])));
    }

    public function test_only_what_is_meant_to_be_public_is_served(): void
    {
        $root = dirname(__DIR__, 2);
        $paths = ['/.env', '/.git/config', '/.git/HEAD', '/.htaccess', '/.DS_Store', '/composer.json', '/package.json', '/artisan', '/server.php',
            '/index.php', '/index.php/api/session', '/phpinfo.php', '/info.php', '/wp-login.php', '/admin', '/backup.zip', '/dump.sql',
            '/gnomic.sqlite', '/storage/logs/laravel.log', '/vendor/autoload.php', '/config/app.php', '/build/manifest.json', '/build/.stamp',
            '/build/../index.php', '/build/..%2findex.php', '/w/../gnomic.sqlite', '/w/..%2fgnomic.sqlite', '/w/%2e%2e/.env', '//etc/passwd',
            '/w/'.self::KEY.'/current/widget.html', '/w/'.self::KEY.'/0123456789abcdef/widget.html', '/w/'.self::KEY.'/sizes.json',
            '/w/'.self::KEY.'/all.0.html', '/w/'.self::KEY.'/at...html', '/gnomic.js.gz', '/gnomic.js/', '/.well-known/x', '/run/fpm.sock'];
        foreach (['', '/public', '/bin', '/config', '/routes', '/bootstrap'] as $folder) {
            foreach (glob("$root$folder/{,.}*", GLOB_BRACE) ?: [] as $file) {
                array_push($paths, '/'.basename($file), $folder.'/'.basename($file));
            }
        }
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator("$root/public", \FilesystemIterator::SKIP_DOTS)) as $file) {
            $paths[] = substr((string) $file, strlen("$root/public"));
        }
        $served = 0;
        foreach (array_unique($paths) as $path) {
            $given = self::asked($path);
            $isMeant = $path === '/gnomic.js' || preg_match('~^/(?:b/[0-9a-f]{12}\.js$|build/assets/[\w.-]+\.(?:js|css|woff2|svg|png)$)~', $path) === 1
                || in_array($path, ['/', '/.', '/..', '/public/.', '/sources', '/entries', '/widgets'], true);
            $served += $given['status'] === 200 ? 1 : 0;
            self::assertTrue($isMeant || in_array($given['status'], [400, 404], true), "$path answers {$given['status']}");
            self::assertStringNotContainsString('<?php', $given['body'], $path);
        }
        self::assertGreaterThan(10, $served);
        if (posix_geteuid() !== 0 || self::user() !== 'root') {
            self::assertStringNotContainsString('APP_KEY', self::asked('/.env')['body']);
        }
    }

    public function test_a_database_that_others_hold_is_said_to_be_busy(): void
    {
        $jar = self::$data.'/jar-of-busy';
        self::asked('/', [CURLOPT_COOKIEJAR => $jar]);
        preg_match('/XSRF-TOKEN\s+(\S+)/', (string) file_get_contents($jar), $token);
        $signIn = fn (): array => self::asked('/api/session', [CURLOPT_COOKIEFILE => $jar, CURLOPT_POSTFIELDS => '{"email":"nobody@example.org","password":"x"}',
            CURLOPT_HTTPHEADER => self::asJson($token[1] ?? '')]);
        self::assertSame(422, $signIn()['status']);
        $other = new PDO('sqlite:'.self::$data.'/gnomic.sqlite');
        $other->exec('BEGIN IMMEDIATE');
        $busy = $signIn();
        $other->exec('ROLLBACK');
        self::assertSame(503, $busy['status']);
        self::assertStringContainsString('retry-after: 2', $busy['headers']);
        self::assertStringContainsString('it will try again', $busy['body']);
        self::assertSame(422, $signIn()['status']);
    }

    public function test_addresses_are_built_from_the_one_that_was_set(): void
    {
        $jar = self::$data.'/jar';
        self::asked('/', [CURLOPT_COOKIEJAR => $jar]);
        $cookies = (string) file_get_contents($jar);
        preg_match('/XSRF-TOKEN\s+(\S+)/', $cookies, $token);
        $json = function (string $path, array $body, string $from) use ($jar, &$token): array {
            return self::asked($path, [CURLOPT_COOKIEFILE => $jar, CURLOPT_COOKIEJAR => $jar, CURLOPT_POSTFIELDS => (string) json_encode($body),
                CURLOPT_HTTPHEADER => [...self::asJson($token[1] ?? ''), "X-Test-Address: $from"]]);
        };
        self::assertMatchesRegularExpression('/\tTRUE\t\d+\tgnomic_session/', $cookies, 'by TLS alone');
        $password = (string) file_get_contents(self::$data.'/password');
        // Somebody guesses, behind the same web server but from another address.
        for ($try = 0; $try < 4; $try++) {
            self::assertSame(422, $json('/api/session', ['email' => 'nobody@example.org', 'password' => 'x'], '198.51.100.7')['status']);
        }
        self::assertSame(200, $json('/api/session', ['email' => 'owner@quillmoor.example', 'password' => $password], '198.51.100.8')['status']);
        preg_match('/XSRF-TOKEN\s+(\S+)/', (string) file_get_contents($jar), $token);
        $begun = json_decode($json('/api/grants/ticketwick', [], '198.51.100.8')['body'], true);
        parse_str((string) parse_url((string) ($begun['address'] ?? ''), PHP_URL_QUERY), $query);
        $here = 'https://'.self::NAME.':'.self::$outer;
        self::assertSame("$here/grants/ticketwick/return", $query['redirect_uri'] ?? null);
        $back = self::asked('/grants/ticketwick/return?error=access_denied&state='.urlencode(is_string($query['state'] ?? null) ? $query['state'] : ''), [CURLOPT_COOKIEFILE => $jar]);
        self::assertSame(302, $back['status']);
        self::assertStringContainsString("location: $here/sources/add/ticketwick?refused=", $back['headers']);
        self::assertStringContainsString('src="/build/assets/', self::asked('/sources')['body'], 'its parts are asked of where it was opened');
    }
}
