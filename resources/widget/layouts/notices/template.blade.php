@php($layout = $plan->layout())
<details class="notices at-{{ $layout->corner }}" open data-after="{{ $layout->after }}" data-every="{{ $layout->every }}">
<summary class="tool close"><span class="unseen">{{ $words->say('notices.dismiss') }}</span><svg viewBox="0 0 24 24" aria-hidden="true"><path d="M5 5l14 14M19 5L5 19"/></svg></summary>
<div class="cards">
@include('widget::items')
</div>
@include('widget::foot')
<button type="button" class="tool pause" part="control" hidden aria-label="{{ $words->say('carousel.pause') }}" data-play="{{ $words->say('carousel.play') }}"><svg viewBox="0 0 20 20" aria-hidden="true"><path class="bars" d="M7.5 5v10M12.5 5v10"/><path class="play" d="M7.5 5l7 5-7 5z"/></svg></button>
</details>
