{{-- Shown by the script, which counts by the pattern given; the room is kept, so that nothing moves. --}}
@if (count($plan->cards) > 1 && ($controls !== [] || $seconds !== null))
<div class="turn{{ count($plan->layouts) > 1 ? " of-$of" : '' }}" data-step="{{ $step }}"{!! $seconds === null ? '' : ' data-seconds="'.$seconds.'"' !!}{!! $chance ? ' data-chance' : '' !!} data-place="{{ $words->say('carousel.place', ['at' => '{at}', 'count' => '{count}']) }}">
@if ($seconds !== null)
<button type="button" class="tool pause" part="control" aria-label="{{ $words->say('carousel.pause') }}" data-play="{{ $words->say('carousel.play') }}"><svg viewBox="0 0 20 20" aria-hidden="true"><path class="bars" d="M7.5 5v10M12.5 5v10"/><path class="play" d="M7.5 5l7 5-7 5z"/></svg></button>
@endif
@if (in_array('arrows', $controls, true))
<button type="button" class="tool previous" part="control" aria-label="{{ $words->say('carousel.previous') }}"><svg viewBox="0 0 20 20" aria-hidden="true"><path d="M12.5 4.5L7 10l5.5 5.5"/></svg></button>
@endif
@if (in_array('dots', $controls, true))
<span class="dots" data-said="{{ $words->say('more.page', ['page' => '{page}']) }}"></span>
@endif
<span class="at{{ in_array('numbers', $controls, true) ? '' : ' unseen' }}"></span>
@if (in_array('arrows', $controls, true))
<button type="button" class="tool next" part="control" aria-label="{{ $words->say('carousel.next') }}"><svg viewBox="0 0 20 20" aria-hidden="true"><path d="M7.5 4.5L13 10l-5.5 5.5"/></svg></button>
@endif
</div>
@endif
