@php($layout = $plan->layout())
<div class="{{ $layout->isSeal ? 'seal' : 'inline' }}">
@if (! $plan->head->hasFigures())
<p class="none quiet">{{ $plan->shape->empty }}</p>
@else
@if ($layout->opens)
<a class="whole" href="{{ $plan->all }}" target="_blank" rel="noopener">
@endif
@if ($layout->isSeal)
<div class="round">
@if ($plan->head->figure !== null)
<svg class="ring" viewBox="0 0 120 120" aria-hidden="true"><circle class="no" cx="60" cy="60" r="56"/><circle cx="60" cy="60" r="56" pathLength="100" stroke-dasharray="{{ $plan->head->twentieths }} 100" transform="rotate(-90 60 60)"/></svg>
@endif
@include('widget::figure')
</div>
@else
@if ($plan->head->figure !== null)
{!! $glyphs->rating($tokens, $plan->head->twentieths, null) !!}
@endif
@include('widget::figures')
@endif
@if ($layout->opens)
<span class="unseen">{{ $words->say('action.all') }}</span></a>
@endif
@if ($layout->isSeal)
@include('widget::standing')
@endif
@endif
@if ($plan->head->heading !== null)
<p class="line quiet" part="line" dir="auto">{{ $plan->head->heading }}</p>
@endif
@include('widget::actions')
</div>
