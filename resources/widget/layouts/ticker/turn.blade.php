@if (count($plan->cards) > 1)
<label class="still of-{{ $of }} quiet"><input type="checkbox"> {{ $words->say('ticker.stop') }}</label>
@endif
