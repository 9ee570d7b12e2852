<!DOCTYPE html>
<html lang="{{ $language }}">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta name="robots" content="noindex">
<title>{{ $name }}</title>
<link rel="alternate" type="application/feed+json" title="{{ $name }}" href="/w/{{ $key }}.json">
<style>body{margin:0;font-family:system-ui,sans-serif;background:{{ $look->tokens['ground'] }}}h1{position:absolute;width:1px;height:1px;margin:0;overflow:hidden;clip-path:inset(50%)}.note{margin:0;padding:8px 20px 24px;color:{{ $look->tokens['quiet'] }}}</style>
</head>
<body>
<main><h1>{{ $name }}</h1><gnomic-widget key="{{ $key }}">{!! $fragment !!}</gnomic-widget>@if ($note !== null)<p class="note">{{ $note }}</p>@endif</main>
<script async src="/gnomic.js"></script>
</body>
</html>
