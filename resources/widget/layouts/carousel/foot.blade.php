@if (count($plan->cards) > 1)
{{-- Shown by the script, which counts by the pattern given; the room is kept, so that nothing moves. --}}
<div class="turn">
@if ($plan->layout->autoplay !== null)
<button type="button" class="pause" aria-pressed="false" aria-label="{{ $words->say('carousel.pause') }}"><svg width="12" height="12" viewBox="0 0 12 12" aria-hidden="true"><path class="bars" d="M3 1v10M9 1v10"/><path class="play" d="M3 1l7 5-7 5z"/></svg></button>
@endif
<button type="button" class="previous" aria-label="{{ $words->say('carousel.previous') }}"><svg width="26" height="12" viewBox="0 0 26 12" aria-hidden="true"><path d="M7 1L1 6l6 5M1 6h24"/></svg></button>
<span class="at" aria-live="polite" data-pattern="{{ $words->say('carousel.place', ['at' => '{at}', 'count' => '{count}']) }}"></span>
<button type="button" class="next" aria-label="{{ $words->say('carousel.next') }}"><svg width="26" height="12" viewBox="0 0 26 12" aria-hidden="true"><path d="M19 1l6 5-6 5M25 6H1"/></svg></button>
</div>
@endif
