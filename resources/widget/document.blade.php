<!DOCTYPE html>
<html lang="{{ $words->language }}">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta name="robots" content="noindex">
<meta name="referrer" content="strict-origin">
<link rel="icon" href="data:,">
<title>{{ $name }}</title>
<link rel="alternate" type="application/feed+json" title="{{ $name }}" href="/w/{{ $key }}.json">
<link rel="alternate" type="application/atom+xml" title="{{ $name }}" href="/w/{{ $key }}.atom">
<link rel="alternate" type="application/rss+xml" title="{{ $name }}" href="/w/{{ $key }}.rss">
<link rel="alternate" type="application/json+oembed" title="{{ $name }}" href="{{ $host }}/oembed?url={{ rawurlencode("$host/w/$key") }}&amp;format=json">
<link rel="alternate" type="text/xml+oembed" title="{{ $name }}" href="{{ $host }}/oembed?url={{ rawurlencode("$host/w/$key") }}&amp;format=xml">
<style>body{margin:0;font-family:system-ui,sans-serif;background:{{ $look->palette()->solid()->toHex() }}}h1{position:absolute;width:1px;height:1px;margin:0;overflow:hidden;clip-path:inset(50%)}.note,.pages{margin:0;padding:8px 20px 24px;color:{{ $look->palette()->colours['quiet'] }}}.pages{display:flex;gap:24px}.pages[hidden]{display:none}.pages a{color:inherit;padding:6px 0}</style>
</head>
<body>
<main><h1>{{ $name }}</h1><gnomic-widget key="{{ $key }}">{!! $fragment !!}</gnomic-widget>@if ($page?->note !== null)<p class="note">{{ $page->note }}</p>@endif
@if ($page?->newer !== null || $page?->older !== null)
<nav class="pages" aria-label="{{ $words->say('everything.pages') }}">
@if ($page->newer !== null)<a rel="prev" href="/w/{{ $key }}/{{ $page->newer }}">{{ $words->say('everything.newer') }}</a>@endif
@if ($page->older !== null)<a rel="next" href="/w/{{ $key }}/{{ $page->older }}">{{ $words->say('everything.older') }}</a>@endif
</nav>
@endif
</main>
<script async src="/gnomic.js"></script>@if ($frame !== null && $page === null)<script type="module" src="/b/{{ $frame }}"></script>@endif

</body>
</html>
