<?php

declare(strict_types=1);

namespace Tests\app;

use App\Models\Site;
use App\People\SignIn;
use Gnomic\Entry\Author;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Rating;
use Gnomic\Entry\Scale;
use Illuminate\Cache\RateLimiter;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Contracts\Hashing\Hasher;
use Illuminate\Support\Facades\Queue;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Yaml\Yaml;
use Tests\Effort;
use Tests\TestCase;

/**
 * The interface as it is described, asked with everything that it does not expect: every parameter and every member of another type,
 * huge, with NUL, with bytes that are no UTF-8, nested. Nothing of it is a fault of ours. GNOMIC_FUZZ=SECONDS goes on for that long.
 */
final class FuzzTest extends TestCase
{
    use Servers;

    private Site $mine;

    private Randomizer $chance;

    /** @var array<string, mixed> */
    private array $schemas = [];

    protected function setUp(): void
    {
        parent::setUp();
        Queue::fake();
        putenv('RES_OPTIONS=timeout:1 attempts:1'); // names that nobody knows are not asked for long
        config(['gnomic.fetch.seconds' => 1]);
        $this->app->bind(SignIn::class, fn (Application $app): SignIn => new SignIn(
            $app->make(RateLimiter::class),
            $app->make(Hasher::class),
            4,
        ));
        $this->mine = $this->site();
        $this->chance = new Randomizer(new Mt19937(2026));
        $source = $this->source($this->mine);
        $this->store($source, [new Entry(
            'a',
            Kind::Review,
            author: new Author('Jo'),
            rating: Rating::on(Scale::ofStars(), 4),
            text: 'Words',
        )]);
        $this->mine->widgets()->create(['key' => 'dome4visit', 'name' => 'Dome', 'brief' => ['version' => 2]]);
        $this->mine->subjects()->create(['key' => 'the-dome', 'name' => 'The Dome']);
        // No outside service answers: what would be asked there is another matter.
        foreach (['wayleaf', 'ticketwick', 'shutterfen', 'corkwall', 'barrowfair'] as $service) {
            config(["gnomic.channels.$service.address" => 'http://192.0.2.1:9']);
        }
        $this->actingAs($this->ownerOf($this->mine));
    }

    /** @return list<mixed> */
    private static function oddities(): array
    {
        return [
            null, true, false, 0, -1, 1, 1.5, 1e308, PHP_INT_MAX, '', ' ', "\0", "a\0b", '12345678901234567890123', "\xFF\xFE", "\xED\xA0\x80",
            '../../etc/passwd', '<script>a()</script>', "' OR 1=1 --", '{{7*7}}', '=cmd|a', 'javascript:a()', "\u{202E}abc", '🌟', 'é',
            str_repeat('x', 70_000), [], [[]], [null], ['a'], [['a' => ['b' => []]]], ['a' => 'b'], (object) [], ['$ref' => '#'],
            range(1, 300), str_repeat('[', 300), '2026-13-45', '9999-12-31T23:59:60Z', 'Infinity', 'NaN', '-0', '0x10', '1e999', 'http://[',
        ];
    }

    public function test_nothing_that_is_asked_is_a_fault_of_ours(): void
    {
        $document = Yaml::parseFile(dirname(__DIR__, 2).'/docs/openapi.yaml');
        $this->schemas = $document['components']['schemas'] + ['Brief' => ['type' => 'object', 'properties' => [
            'version' => ['type' => 'integer'], 'gather' => ['type' => 'object'], 'sift' => ['type' => 'object'],
            'shape' => ['type' => 'object'], 'dress' => ['type' => 'object'],
        ]]];
        $operations = [];
        foreach ($document['paths'] as $path => $methods) {
            foreach (array_intersect_key($methods, array_flip(['get', 'post', 'put', 'patch', 'delete'])) as $method => $operation) {
                // Signing out would end the game.
                if ("$method $path" !== 'delete /session') {
                    $parameters = [...$methods['parameters'] ?? [], ...$operation['parameters'] ?? []];
                    $operations[] = [(string) $method, (string) $path, array_values(array_map(
                        fn (array $one): array => isset($one['$ref']) ? $document['components']['parameters'][basename((string) $one['$ref'])] : $one,
                        $parameters,
                    )), array_values($operation['requestBody']['content'] ?? [])[0]['schema'] ?? null, isset($operation['requestBody']['content']['multipart/form-data'])];
                }
            }
        }
        $asked = 0;
        foreach ($operations as $number => [$method, $path, $parameters, $schema, $isForm]) {
            foreach (self::oddities() as $index => $oddity) {
                // Some of them here, and the others at the next ones; all of them where there is time.
                if (($number + $index) % Effort::of(13, 1) !== 0) {
                    continue;
                }
                foreach ($parameters as $parameter) {
                    $this->ask($method, $path, [(string) $parameter['name'] => $oddity], $parameters, [], $asked, $isForm);
                }
                $this->ask($method, $path, [], $parameters, $oddity, $asked, $isForm);
                foreach (array_keys($this->members($schema)) as $member) {
                    $body = $this->sensible($schema);
                    $body[$member] = $oddity;
                    $this->ask($method, $path, [], $parameters, $body, $asked, $isForm);
                }
            }
        }
        $until = microtime(true) + (float) (getenv('GNOMIC_FUZZ') ?: 0);
        while (microtime(true) < $until) {
            [$method, $path, $parameters, $schema, $isForm] = $operations[$this->chance->getInt(0, count($operations) - 1)];
            $body = $this->sensible($schema);
            foreach (array_keys($this->members($schema)) as $member) {
                if ($this->chance->getInt(0, 1) === 1) {
                    $body[$member] = $this->odd($this->chance->getInt(0, 3));
                }
            }
            $given = array_map(fn (array $one): mixed => $this->odd(1), array_column($parameters, null, 'name'));
            $this->ask($method, $path, $given, $parameters, $body, $asked, $isForm);
        }
        self::assertGreaterThan(Effort::of(300, 4_500), $asked);
    }

    /**
     * @param  array<string, mixed>  $given  values of parameters; the others are sensible
     * @param  list<array<string, mixed>>  $parameters
     */
    private function ask(string $method, string $path, array $given, array $parameters, mixed $body, int &$asked, bool $isForm): void
    {
        $query = [];
        foreach ($parameters as $parameter) {
            $name = (string) $parameter['name'];
            $value = $given[$name] ?? ['key' => 'dome4visit', 'channel' => 'corkwall', 'kind' => 'entries', 'form' => 'csv', 'id' => '1'][$name] ?? null;
            if ($parameter['in'] === 'path') {
                $text = is_scalar($value) ? (string) $value : 'a';
                $path = str_replace('{'.$name.'}', rawurlencode($text === '' ? '0' : substr($text, 0, 3000)), $path);
            } elseif ($value !== null) {
                $query[$name] = $value;
            }
        }
        $content = json_encode($body, JSON_INVALID_UTF8_IGNORE | JSON_PARTIAL_OUTPUT_ON_ERROR);
        $address = '/api'.$path.($query === [] ? '' : '?'.http_build_query($query));
        $form = $isForm && is_array($body) ? array_map(fn (mixed $one): mixed => is_object($one) ? [] : $one, $body) : [];
        $response = $this->call(strtoupper($method), $address, $form, [], [], [
            'CONTENT_TYPE' => $isForm ? 'application/x-www-form-urlencoded' : 'application/json',
            'HTTP_ACCEPT' => 'application/json',
        ], $method === 'get' || $isForm ? null : (string) $content);
        $asked++;
        if ($response->getStatusCode() < 500) {
            return;
        }
        self::fail(
            "$method ".mb_strimwidth($address, 0, 300).' with '.mb_strimwidth((string) $content, 0, 300).': '
                .mb_strimwidth($response->exception?->getMessage() ?? '', 0, 600),
        );
    }

    private function odd(int $depth): mixed
    {
        $oddities = self::oddities();
        $one = $oddities[$this->chance->getInt(0, count($oddities) - 1)];

        return $depth > 0 && $this->chance->getInt(0, 2) === 0 ? [$one, $this->odd($depth - 1)] : $one;
    }

    /**
     * @param  array<string, mixed>|null  $schema
     * @return array<string, mixed>
     */
    private function members(?array $schema): array
    {
        if (isset($schema['$ref'])) {
            $schema = $this->schemas[basename((string) $schema['$ref'])];
        }

        return $schema['properties'] ?? [];
    }

    /**
     * @param  array<string, mixed>|null  $schema
     * @return array<string, mixed>
     */
    private function sensible(?array $schema): array
    {
        return array_map(function (array $of): mixed {
            $of = isset($of['$ref']) ? $this->schemas[basename((string) $of['$ref'])] : $of;
            $type = is_array($of['type'] ?? null) ? $of['type'][0] : ($of['type'] ?? 'object');

            return $of['enum'][0] ?? match ($type) {
                'string' => 'dome', 'integer', 'number' => 1, 'boolean' => true, 'array' => [], default => (object) [],
            };
        }, $this->members($schema));
    }
}
