@php($ofLayout = view()->exists("$layout.foot") && $plan->cards !== [])
@if ($plan->honest !== null || $ofLayout)
<div class="foot">
@if ($plan->honest !== null)
<p class="honest quiet">{{ $plan->honest->text }} <a href="{{ $all }}" target="_blank" rel="noopener noreferrer">{{ $plan->honest->all }}</a></p>
@endif
@if ($ofLayout)
@include("$layout.foot")
@endif
</div>
@endif
