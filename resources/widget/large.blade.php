{{-- Entries in full, for the enlarged view: fetched when one is opened for the first time. --}}
<!DOCTYPE html>
<html lang="{{ $words->language }}">
<head><meta charset="utf-8"><meta name="robots" content="noindex"><title>{{ $name }}</title><style>{!! $styles !!}</style></head>
<body>
<dialog class="large" aria-label="{{ $words->say('large.name') }}" data-said="{{ $words->say('large.copied') }}">
<div class="bar"><button type="button" class="tool close" aria-label="{{ $words->say('large.close') }}" autofocus><svg viewBox="0 0 24 24" aria-hidden="true"><path d="M5 5l14 14M19 5L5 19"/></svg></button><span class="at" role="status"></span><button type="button" class="tool share" aria-label="{{ $words->say('large.share') }}"><svg viewBox="0 0 24 24" aria-hidden="true"><path d="M10 14a4 4 0 005.7 0l3.6-3.6a4 4 0 00-5.7-5.7l-1 1M14 10a4 4 0 00-5.7 0l-3.6 3.6a4 4 0 005.7 5.7l1-1"/></svg></button></div>
<div class="stage"></div>
<button type="button" class="tool back" aria-label="{{ $words->say('carousel.previous') }}"><svg viewBox="0 0 26 12" aria-hidden="true"><path d="M7 1L1 6l6 5M1 6h24"/></svg></button>
<button type="button" class="tool next" aria-label="{{ $words->say('carousel.next') }}"><svg viewBox="0 0 26 12" aria-hidden="true"><path d="M19 1l6 5-6 5M25 6H1"/></svg></button>
</dialog>
@include('widget::items')
</body>
</html>
