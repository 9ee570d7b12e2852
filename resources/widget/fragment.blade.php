{{-- Closed off from the page: its styles stay out and ours stay in. --}}
<template shadowrootmode="open"{!! $manifest === null ? '' : ' data-others="'.e($manifest).'"' !!}>
<style>@include('widget::styles')</style>
<section class="g {{ $plan->layout->value }}" aria-label="{{ $plan->heading ?? $name }}">
@include('widget::head')
@if ($plan->cards === [])
<p class="none">Nothing is shown here yet.</p>
@elseif ($plan->layout->value === 'carousel')
<div class="view"><div class="track" role="group" aria-roledescription="carousel" aria-label="{{ $plan->heading ?? $name }}" tabindex="0"{!! $plan->autoplay === null ? '' : ' data-autoplay="'.$plan->autoplay.'"' !!}>
@foreach ($plan->cards as $card)
<div class="slide" role="group" aria-roledescription="slide" aria-label="{{ $loop->iteration }}{{ $plan->fewer === [] ? ' of '.$loop->count : '' }}">@include('widget::card')</div>
@endforeach
</div></div>
@else
<div class="stack">
@foreach ($plan->cards as $card)
@include('widget::card')
@endforeach
</div>
@endif
@include('widget::foot')
</section>
</template>
