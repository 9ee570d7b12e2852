{{-- Entries in full, for the enlarged view: fetched when one is opened for the first time. --}}
<!DOCTYPE html>
<html lang="{{ $words->language }}">
<head><meta charset="utf-8"><meta name="robots" content="noindex"><title>{{ $name }}</title><style>{!! $styles !!}</style></head>
<body>
<dialog class="large" aria-label="{{ $words->say('large.name') }}" data-said="{{ $words->say('large.copied') }}">
<div class="bar"><button type="button" class="tool back" aria-label="{{ $words->say('carousel.previous') }}"><svg viewBox="0 0 20 20" aria-hidden="true"><path d="M12.5 4.5L7 10l5.5 5.5"/></svg></button>
<button type="button" class="tool next" aria-label="{{ $words->say('carousel.next') }}"><svg viewBox="0 0 20 20" aria-hidden="true"><path d="M7.5 4.5L13 10l-5.5 5.5"/></svg></button>
<button type="button" class="tool close" aria-label="{{ $words->say('large.close') }}" autofocus><svg viewBox="0 0 24 24" aria-hidden="true"><path d="M5 5l14 14M19 5L5 19"/></svg></button><span class="at" role="status"></span><button type="button" class="tool share" aria-label="{{ $words->say('large.share') }}"><svg viewBox="0 0 24 24" aria-hidden="true"><path d="M10 14a4 4 0 005.7 0l3.6-3.6a4 4 0 00-5.7-5.7l-1 1M14 10a4 4 0 00-5.7 0l-3.6 3.6a4 4 0 005.7 5.7l1-1"/></svg></button></div>
<div class="stage"></div>
{!! $glyphs->drawn($tokens) !!}
</dialog>
@include('widget::items')
</body>
</html>
