@php($layout = $plan->layout())
<div class="{{ $layout->isSeal ? 'seal' : 'inline' }}">
@if ($plan->head->hasFigures())
@if ($layout->opens)
<a class="whole" href="{{ $plan->all }}" target="_blank" rel="noopener">
@endif
@if ($plan->head->figure !== null && $layout->isSeal)
<svg class="ring" viewBox="0 0 120 120" aria-hidden="true"><circle class="no" cx="60" cy="60" r="56"/><circle cx="60" cy="60" r="56" pathLength="100" stroke-dasharray="{{ $plan->head->twentieths }} 100" transform="rotate(-90 60 60)"/></svg>
@elseif ($plan->head->figure !== null)
{!! $glyphs->rating($tokens, $plan->head->twentieths, null) !!}
@endif
@include('widget::figures')
@if ($layout->opens)
<span class="unseen">{{ $words->say('action.all') }}</span></a>
@endif
@else
<p class="none quiet">{{ $plan->shape->empty }}</p>
@endif
@if ($plan->head->heading !== null)
<p class="line quiet" part="line" dir="auto">{{ $plan->head->heading }}</p>
@endif
@include('widget::actions')
</div>
