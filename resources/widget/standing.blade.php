@if ($plan->spread() !== null)
@include('widget::spread')
@endif
@if ($plan->head->channels !== [])
<ul class="channels quiet">
@foreach ($plan->head->channels as $channel)
<li>{!! $glyphs->rating($tokens, $channel->twentieths, null) !!} @if ($channel->url !== null && $plan->layout()::most() !== 0)<a href="{{ $channel->url }}" target="_blank" rel="{{ $plan->shape->rel }}">@include('widget::called')</a>@else<span>@include('widget::called')</span>@endif <b><span class="unseen">{{ $words->around('figures.ofFive', 'value')[0] }}</span>{{ $channel->figure }}<span class="unseen">{{ $words->around('figures.ofFive', 'value')[1] }}</span></b> {{ $channel->base }}</li>
@endforeach
</ul>
@endif
@if ($plan->head->faces !== [])
<div class="faces quiet">
@foreach ($plan->head->faces as $face)
@if ($face->address !== null)
<img class="face" part="face" src="{{ $face->address }}" width="36" height="36" alt="" loading="lazy" referrerpolicy="no-referrer">
@else
<span class="face u{{ $face->tone }}" part="face" aria-hidden="true">{{ $face->initials }}</span>
@endif
@endforeach
@if ($plan->head->others !== null)
<span class="others">{{ $plan->head->others }}</span>
@endif
</div>
@endif
