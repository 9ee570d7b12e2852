@if ($plan->honest !== null || $plan->hasActionsBelow() || ($more !== null && $plan->cards !== []))
<div class="foot">
@if ($plan->honest !== null)
<p class="honest quiet">{{ $plan->honest->text }} <a href="{{ $plan->all }}" target="_blank" rel="noopener noreferrer">{{ $plan->honest->all }}</a></p>
@endif
@if ($more !== null && $plan->cards !== [])
@include('widget::more')
@endif
@if ($plan->hasActionsBelow())
@include('widget::actions')
@endif
</div>
@endif
