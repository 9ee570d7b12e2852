<?php

declare(strict_types=1);

namespace Tests\against;

use Gnomic\Place\Policy\ContentPolicy;
use Gnomic\Place\Policy\Need;
use Gnomic\Place\Policy\PolicyQuestion;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Effort;

/** Content-Security-Policies, against what Chromium does: it loads the page, and either has the thing or not. */
final class PoliciesTest extends TestCase
{
    private const PAGE = 'https://www.quillmoor.example/visit';

    private const HOST = 'https://words.gnomic.example';

    /** @return iterable<string, array<string, mixed>> */
    public static function policies(): iterable
    {
        $host = self::HOST;
        // The digest of the script that the test's pages load.
        $script = "window.ran = true; import(\"$host/b/0123456789ab.js\").then(() => (window.imported = true), () => 0);";
        $digest = 'sha256-'.base64_encode(hash('sha256', $script, true));
        foreach ([
            '', "default-src 'self'", "default-src 'none'", 'default-src *', "default-src 'self' $host", 'default-src https:', 'default-src http:',
            "script-src 'self'", "script-src $host", "script-src $host/gnomic.js", "script-src $host/b/", "script-src $host/gnomic.js $host/b/",
            'script-src words.gnomic.example', 'script-src *.gnomic.example', 'script-src *.example', 'script-src gnomic.example',
            'script-src http://words.gnomic.example', 'script-src https://words.gnomic.example:443', 'script-src https://words.gnomic.example:*',
            'script-src https://words.gnomic.example:8443', 'script-src words.gnomic.example:443', 'script-src words.gnomic.example:80',
            'script-src https://*:443', 'script-src https:', 'script-src *', "script-src 'none'", "script-src 'none' $host", 'script-src',
            "script-src 'unsafe-inline'", "script-src 'self' 'unsafe-eval'", "script-src-elem $host; script-src 'none'",
            "script-src $host; script-src-elem 'self'", "script-src-attr 'none'", 'SCRIPT-SRC HTTPS://WORDS.GNOMIC.EXAMPLE',
            "script-src $host; script-src 'none'", "script-src\t$host  ;connect-src 'self'", "connect-src 'self'", "connect-src $host",
            "connect-src $host/w/", "connect-src $host/w", "default-src 'self'; connect-src $host; script-src $host",
            "img-src 'self' data:", "img-src $host", "img-src $host/w/p/", 'img-src https: data:', "img-src 'self'; default-src *",
            "style-src 'self'", "style-src 'unsafe-inline'", "style-src 'self' 'unsafe-inline'", "style-src-elem 'unsafe-inline'; style-src 'self'",
            "style-src-attr 'unsafe-inline'; style-src 'self'", "style-src-attr 'none'", "style-src 'unsafe-inline' 'nonce-other'",
            "style-src 'unsafe-inline' 'sha256-47DEQpj8HBSa+/TImW+5JCeuQeRkm5NMpJWZG3hSuFU='",
            "frame-src 'self'", "frame-src $host", "child-src $host; default-src 'self'", "child-src 'self'", "frame-src $host; child-src 'none'",
            "frame-ancestors 'none'", 'sandbox', 'sandbox allow-scripts', 'sandbox allow-scripts allow-same-origin', 'sandbox allow-popups',
            'upgrade-insecure-requests', "base-uri 'none'; object-src 'none'", "script-src 'nonce-abc' 'strict-dynamic' https: 'unsafe-inline'",
            "script-src 'strict-dynamic' $host", "script-src 'nonce-abc'", "script-src 'nonce-abc' $host", "script-src '$digest'",
            "default-src 'self'; script-src 'self' https://cdn.example *.gnomic.example:*; img-src *; connect-src 'self' wss://live.example",
            'nonsense here; script-src', 'script-src ;', "script-src ' self'", 'script-src self', "default-src 'report-sample' $host",
            'script-src words.gnomic.example/', 'script-src *.words.gnomic.example', 'script-src *:443', 'script-src *:8443',
            'script-src https://words.gnomic.example/gnomic.js?v=1', 'script-src wss:', 'connect-src wss:', 'connect-src ws: http:',
            "trusted-types 'none'", "require-trusted-types-for 'script'",
        ] as $policy) {
            yield "header: $policy" => ['headers' => [$policy]];
        }
        foreach (["script-src 'self'", "script-src $host; connect-src $host", "default-src 'none'", 'sandbox', "frame-ancestors 'none'", "img-src 'self', script-src 'none'"] as $policy) {
            yield "meta: $policy" => ['metas' => [$policy]];
            yield "report only: $policy" => ['reporting' => [$policy]];
        }
        yield 'two headers, one refuses' => ['headers' => ["script-src $host", "script-src 'self'"]];
        yield 'two headers, both let' => ['headers' => ["script-src $host", 'script-src https:']];
        yield 'one header of two' => ['headers' => ["script-src $host, connect-src 'self'"]];
        yield 'header and meta' => ['headers' => ["script-src $host"], 'metas' => ["connect-src 'self'"]];
        yield 'two metas' => ['metas' => ["script-src $host", "img-src 'self'"]];
        yield 'report only beside one that lets' => ['headers' => ["script-src $host"], 'reporting' => ["script-src 'self'"]];
        foreach (["script-src 'nonce-abc'", "script-src 'nonce-other'", "script-src 'nonce-abc' 'strict-dynamic'", "script-src 'strict-dynamic' $host",
            "default-src 'nonce-abc'", "style-src 'nonce-abc'", "style-src 'nonce-abc' 'unsafe-inline'", "script-src 'NONCE-abc'", "script-src 'nonce-ABC'"] as $policy) {
            yield "with a nonce: $policy" => ['headers' => [$policy], 'nonce' => 'abc'];
        }
        foreach (["script-src '$digest'", "script-src '$digest' 'strict-dynamic'", "script-src 'sha256-47DEQpj8HBSa+/TImW+5JCeuQeRkm5NMpJWZG3hSuFU='", "script-src 'self'"] as $policy) {
            yield "with its digest: $policy" => ['headers' => [$policy], 'integrity' => $digest];
        }
        yield 'from a page without protection' => ['headers' => ["script-src words.gnomic.example; img-src 'self'"], 'page' => 'http://www.quillmoor.example/visit', 'host' => 'http://words.gnomic.example'];
        yield 'a host with a port' => ['headers' => ['script-src http://127.0.0.1:8080; connect-src 127.0.0.1:*; img-src http://127.0.0.1; frame-src http:'],
            'page' => 'http://127.0.0.1:8082/visit', 'host' => 'http://127.0.0.1:8080'];
        yield 'a host by its number' => ['headers' => ['script-src http://127.0.0.1:*; connect-src *:8080; img-src http://*:8080'],
            'page' => 'http://localhost:8082/visit', 'host' => 'http://127.0.0.1:8080'];
        yield 'the page itself at another port' => ['headers' => ["default-src 'self'"], 'page' => 'http://127.0.0.1:8082/visit', 'host' => 'http://127.0.0.1:8080'];
        yield 'the page itself' => ['headers' => ["default-src 'self'"], 'host' => 'https://www.quillmoor.example'];
    }

    public function test_verdicts_are_those_of_chromium(): void
    {
        $cases = array_map(
            fn (array $case): array => $case + ['page' => self::PAGE, 'host' => self::HOST, 'headers' => [], 'reporting' => [], 'metas' => [], 'nonce' => '', 'integrity' => ''],
            iterator_to_array(self::policies()),
        );
        self::assertGreaterThan(100, count($cases));
        // Every sixth, where there is little time.
        $every = Effort::of(6, 1);
        $places = array_flip(array_keys($cases));
        $cases = array_filter($cases, fn (int|string $name): bool => $places[$name] % $every === 0, ARRAY_FILTER_USE_KEY);
        $wrong = self::differing($cases);
        // A machine that was busy with something else for half a second makes Chromium look as if it refused.
        self::assertSame([], $wrong === [] ? [] : self::differing(array_intersect_key($cases, $wrong), patience: 5));
    }

    /**
     * @param  array<string, array<string, mixed>>  $cases
     * @param  int  $patience  how many times as long as usual each case is given; more than once, one case at a time
     * @return array<string, string> by the name of the case
     */
    private static function differing(array $cases, int $patience = 1): array
    {
        $process = new Process(
            ['node', __DIR__.'/policies.mjs', (string) $patience],
            input: (string) json_encode(array_values($cases)),
            timeout: 300,
        );
        $theirs = array_combine(array_keys($cases), json_decode($process->mustRun()->getOutput(), true));
        $wrong = [];
        foreach ($cases as $name => $case) {
            foreach (self::needs($case) as $need => $wanted) {
                $isLet = ! self::isRefused($case, $wanted);
                if ($isLet !== ($theirs[$name][$need] ?? $isLet)) {
                    $wrong[$name] = "$need is ".($theirs[$name][$need] ? 'had' : 'refused').' in Chromium';
                }
            }
        }

        return $wrong;
    }

    /**
     * @param  array<string, mixed>  $case
     * @return array<string, PolicyQuestion>
     */
    private static function needs(array $case): array
    {
        ['host' => $host, 'nonce' => $nonce, 'integrity' => $integrity] = $case;

        return [
            'script' => new PolicyQuestion(Need::Script, "$host/gnomic.js", $nonce, $integrity),
            'connect' => new PolicyQuestion(Need::Connect, "$host/w/dome4visit.html"),
            'img' => new PolicyQuestion(Need::Picture, "$host/w/p/a.gif"),
            'style' => new PolicyQuestion(Need::Style, null, $nonce),
            'style-attribute' => new PolicyQuestion(Need::StyleAttribute, null),
            'frame' => new PolicyQuestion(Need::Frame, "$host/w/dome4visit"),
        ];
    }

    /** @param  array<string, mixed>  $case */
    private static function isRefused(array $case, PolicyQuestion $wanted): bool
    {
        foreach (ContentPolicy::all($case['headers'], $case['reporting'], $case['metas']) as $policy) {
            if ($policy->isEnforced && $policy->refuses($wanted, $case['page']) !== null) {
                return true;
            }
        }

        return false;
    }
}
