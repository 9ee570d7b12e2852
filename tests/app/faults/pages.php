<?php

declare(strict_types=1);

// Pages of a website that are hard to read a look from, one an address.

$path = (string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH);
$page = static fn (string $head, string $body): string => "<!doctype html><html lang=en><head><meta charset=utf-8><title>x</title>$head</head><body>$body</body></html>";
$words = '<h2>What visitors say</h2><p>'.str_repeat('Come up and look through, the sky is clear tonight. ', 8).'<a href="/v">Plan</a></p>';
$css = static function (string $text): void {
    header('Content-Type: text/css');
    echo $text;
};
match ($path) {
    '/usual' => print $page('<link rel=stylesheet href=/site.css>', $words.'<footer class=dark><p>At the foot <a href=/x>more</a></p></footer>'),
    '/site.css' => $css("@import 'brand.css';\nbody { color: var(--ink); background: #fffdf8 }\na { color: var(--brand) }\n.dark { background: #201830; color: #eee }\n.dark a { color: #ffd9a0 }\n"),
    '/brand.css' => $css(":root {\n  --brand: #7a2e5d;\n  --ink: #2b2233;\n}\n"),
    '/hostile' => print $page(
        '<meta http-equiv=refresh content="0;url=//evil.test"><base href="/"><script>parent.ran=1</script><link rel=prefetch href=//evil.test>',
        $words.'<img src=x onerror="parent.ran=1"><iframe src="//evil.test"></iframe><a href="javascript:parent.ran=1" target=_top>x</a>'
            .'<form action="javascript:1"><button formaction="javascript:1">y</button></form><svg><a xlink:href="javascript:1"/></svg>'
            .'<svg><![CDATA[<meta http-equiv=refresh content="0;url=//evil.test">]]></svg><math><![CDATA[<script>parent.ran=1</script>]]></math>'
            .'<svg><style><![CDATA[</style><meta http-equiv=refresh content="0;url=//evil.test">]]></style></svg><svg><style>&lt;/style>&lt;script>parent.ran=1&lt;/script></style></svg>'
            .'<!--><meta http-equiv=refresh content="0">--><?x <meta http-equiv=refresh content="0">?>'
            .'<gnomic-widget key="abcd1234"></gnomic-widget>',
    ),
    '/sheetless' => print $page('<link rel=stylesheet href=/gone.css><link rel=stylesheet href=/endless.css>', $words),
    '/endless.css' => (static function (): void {
        header('Content-Type: text/css');
        for ($megabyte = 0; $megabyte < 30; $megabyte++) {
            echo str_repeat('.a{color:red}', 80_000);
        }
    })(),
    // Style sheets that take their reader long, or much of its memory.
    '/costly/calc' => print $page('<style>p{width:'.str_repeat('calc(', 23_000).'1px'.str_repeat(')', 23_000).'}</style>', $words),
    '/costly/nested' => print $page('<style>p{color:'.str_repeat('light-dark(', 8_000).'red'.str_repeat(',red)', 8_000).'}</style>', $words),
    '/costly/shadows' => print $page('<style>p{box-shadow:'.implode(',', array_fill(0, 120_000, '1px 1px 2px red')).'}</style>', $words),
    '/costly/siblings' => print $page('<style>'.str_repeat(implode(' ~ ', array_fill(0, 30, 'p')).'{color:red}', 300).'</style>', str_repeat('<p>a</p>', 900).$words),
    '/costly/children' => print $page('<style>'.implode('', array_map(fn (int $n): string => "p:nth-child({$n}n+1) p:nth-last-child($n){color:red}", range(1, 4_000))).'</style>', str_repeat('<p>a</p>', 4_000).$words),
    '/costly/variables' => print $page('<style>:root{'.implode('', array_map(fn (int $n): string => "--v$n:var(--v".($n + 1).') var(--v'.($n + 1).');', range(0, 60))).'--v61:red}p{color:var(--v0)}</style>', $words),
    '/costly/rules' => print $page('<style>'.str_repeat('.a .b>.c:not(.d){color:red;margin:1px}', 60_000).'</style>', $words),
    '/costly/depth' => print $page('', str_repeat('<div>', 30_000).$words),
    '/costly/media' => print $page('<style>'.str_repeat('@media all{', 20_000).'p{color:red}'.str_repeat('}', 20_000).'</style>', $words),
    '/costly/brackets' => print $page('<style>p'.str_repeat(':not(', 9_000).'a'.str_repeat(')', 9_000).'{color:red}</style>', $words),
    '/scripts' => print $page('<script src=/app.js></script>', '<div id=root></div>'),
    '/frames' => print '<html><frameset cols="20%,80%"><frame src="/a"><frame src="/b"></frameset></html>',
    '/sign-in' => print $page('', '<form><input type=password name=p></form>'.$words),
    '/private' => http_response_code(401),
    '/picture' => (static function (): void {
        header('Content-Type: image/png');
        echo 'x';
    })(),
    '/inward' => print $page('<link rel=stylesheet href="http://10.0.0.1/x.css">', $words),
    default => http_response_code(404),
};
