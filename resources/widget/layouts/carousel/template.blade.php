<div class="view"><div class="cards track" role="group" aria-roledescription="{{ $words->say('carousel.name') }}" aria-label="{{ $plan->heading ?? $name }}" tabindex="0"{!! $plan->layout->autoplay === null ? '' : ' data-autoplay="'.$plan->layout->autoplay.'"' !!}>
@foreach ($plan->cards as $card)
<div class="slide" role="group" aria-roledescription="{{ $words->say('carousel.slide') }}" aria-label="{{ $plan->fewer === [] ? $words->say('carousel.place', ['at' => $loop->iteration, 'count' => $loop->count]) : $loop->iteration }}">@include('widget::card')</div>
@endforeach
</div></div>
