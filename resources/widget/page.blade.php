{{-- Further cards of a widget: fetched by its own script, and never changed. --}}
<!DOCTYPE html>
<html lang="{{ $words->language }}">
<head><meta charset="utf-8"><meta name="robots" content="noindex"><title>{{ $name }}</title>@if ($rules !== '')<style>{!! $rules !!}</style>@endif</head>
<body data-said="{{ $words->say('more.said', ['count' => count($plan->cards)]) }}">
@if ($plan->standApart())<div class="cards {{ $page }}">@endif
@include('widget::items')
@if ($plan->standApart())</div>@endif
</body>
</html>
