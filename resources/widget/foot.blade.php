@if ($plan->honest !== [] || $plan->layout->value === 'carousel')
<div class="foot">
@if ($plan->honest !== [])
<p class="honest">@foreach ($plan->honest as $line)<span lang="{{ $line->language }}">{{ $line->text }} <a href="{{ $all }}" target="_blank" rel="noopener">{{ $line->all }}</a></span>@endforeach</p>
@endif
@if ($plan->layout->value === 'carousel' && count($plan->cards) > 1)
{{-- Shown by the script; the room is kept, so that nothing moves. --}}
<div class="turn">
@if ($plan->autoplay)
<button type="button" class="pause" aria-pressed="false" aria-label="Pause"><svg width="12" height="12" viewBox="0 0 12 12" aria-hidden="true"><path class="bars" d="M3 1v10M9 1v10"/><path class="play" d="M3 1l7 5-7 5z"/></svg></button>
@endif
<button type="button" class="back" aria-label="Back"><svg width="26" height="12" viewBox="0 0 26 12" aria-hidden="true"><path d="M7 1L1 6l6 5M1 6h24"/></svg></button>
<span class="at" aria-live="polite"></span>
<button type="button" class="on" aria-label="On"><svg width="26" height="12" viewBox="0 0 26 12" aria-hidden="true"><path d="M19 1l6 5-6 5M25 6H1"/></svg></button>
</div>
@endif
</div>
@endif
