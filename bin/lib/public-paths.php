<?php

declare(strict_types=1);

// Which addresses there are: the web server knows these and no others, and so does the application.

return [
    // Sections of the studio; with the interface and the way back from granting access, all that PHP answers. '' is the front.
    'studio' => ['', 'today', 'sources', 'entries', 'widgets', 'pages', 'standing', 'ask'],
    'interface' => ['api', 'grants', 'oembed', 'owner'],
    // Forms of a widget: what stands behind its key in the address, as a pattern, the files that can answer, and their type.
    'widget' => [
        ['\.html', ['widget.html'], 'text/html'],
        ['\.json', ['feed.json'], 'application/feed+json'],
        ['\.jsonld', ['data.jsonld'], 'application/ld+json'],
        ['\.atom', ['feed.atom'], 'application/atom+xml'],
        ['\.rss', ['feed.rss'], 'application/rss+xml'],
        ['\.svg', ['overall.svg'], 'image/svg+xml'],
        ['\.png', ['overall.png'], 'image/png'],
        ['/?', ['document.html'], 'text/html'],
        // What the element asks for, in the language of its page; without one, pages that hold an earlier script in themselves.
        [
            '/open\.([a-z]{2,3})((?:-[a-z0-9]{2,8}){0,2})\.html',
            ['open.$2$3.html', 'open.$2.html', 'decide.html', 'widget.html'],
            'text/html',
        ],
        ['/open\.html', ['choose.html', 'decide.html', 'widget.html'], 'text/html'],
        ['/(all(?:\.[1-9][0-9]{0,5})?)\.html', ['$2.html'], 'text/html'],
        ['/(by\.[a-z0-9.-]{1,60})\.html', ['$2.html'], 'text/html'],
        ['/at\.([a-z0-9.-]{1,60})\.html', ['at.$2.html', 'open.$2.html'], 'text/html'],
    ],
    // Behind a key: what an edition has beside it and never changes.
    'further' => '[0-9a-f]{16}/(?:[1-9][0-9]{0,2}|large)\.html',
    'key' => '[a-z0-9]{4,40}',
    // Behind a key: forms of the widget by what a page says it is about.
    'for' => '/for/[0-9a-f]{16}',
    // What browsers of visitors send when a page is left; answered with nothing, and written down.
    'beacon' => '/t',
    // Programs that name themselves so are not counted.
    'robots' => 'bot\b|bot[/;_-]|crawl|spider|slurp|archiver|facebookexternalhit|curl/|wget/',
    // The script of a site, in /s/.
    'site' => '[a-z0-9]{4,40}\.js',
    // Scripts of behaviours, in /b/, named by their content.
    'behaviour' => '[0-9a-f]{12}\.js',
    'picture' => '[0-9a-f]{16,24}-[0-9]+\.webp',
    'built' => '(?:[\w-]+/)*[\w-]+(?:\.[\w-]+)*\.(?:js|css|woff2|svg|png|webp)',
];
