@if (count($plan->cards) > 1)
<label class="still{{ count($plan->layouts) > 1 ? " of-$of" : '' }} quiet"><input type="checkbox"> {{ $words->say('ticker.stop') }}</label>
@endif
