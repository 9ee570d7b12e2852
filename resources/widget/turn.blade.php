{{-- Shown by the script, which counts by the pattern given; the room is kept, so that nothing moves. --}}
@if (count($plan->cards) > 1 && ($controls !== [] || $seconds !== null))
<div class="turn of-{{ $of }}" data-step="{{ $step }}"{!! $seconds === null ? '' : ' data-seconds="'.$seconds.'"' !!}{!! $chance ? ' data-chance' : '' !!} data-place="{{ $words->say('carousel.place', ['at' => '{at}', 'count' => '{count}']) }}">
@if ($seconds !== null)
<button type="button" class="tool pause" part="control" aria-label="{{ $words->say('carousel.pause') }}" data-play="{{ $words->say('carousel.play') }}"><svg viewBox="0 0 12 12" aria-hidden="true"><path class="bars" d="M3 1v10M9 1v10"/><path class="play" d="M3 1l7 5-7 5z"/></svg></button>
@endif
@if (in_array('arrows', $controls, true))
<button type="button" class="tool previous" part="control" aria-label="{{ $words->say('carousel.previous') }}"><svg viewBox="0 0 26 12" aria-hidden="true"><path d="M7 1L1 6l6 5M1 6h24"/></svg></button>
@endif
@if (in_array('dots', $controls, true))
<span class="dots" data-said="{{ $words->say('more.page', ['page' => '{page}']) }}"></span>
@endif
<span class="at{{ in_array('numbers', $controls, true) ? '' : ' unseen' }}"></span>
@if (in_array('arrows', $controls, true))
<button type="button" class="tool next" part="control" aria-label="{{ $words->say('carousel.next') }}"><svg viewBox="0 0 26 12" aria-hidden="true"><path d="M19 1l6 5-6 5M25 6H1"/></svg></button>
@endif
</div>
@endif
