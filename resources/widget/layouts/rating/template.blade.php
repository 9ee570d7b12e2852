@php($layout = $plan->layout())
<div class="{{ $layout->isSeal ? 'seal' : 'inline' }}">
@if ($plan->head->hasFigures())
@if ($layout->opens)
<a class="whole" href="{{ $plan->all }}" target="_blank" rel="noopener">
@endif
@if ($plan->head->figure !== null)
<span class="glyphs r{{ $plan->head->twentieths }}" part="glyphs" aria-hidden="true"></span>
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
