{{-- Closed off from the page: its styles stay out and ours stay in. --}}
@php($layout = 'widget::layouts.'.$plan->layout::name())
<template shadowrootmode="open">
<style>{!! $styles !!}</style>
<section class="g" lang="{{ $words->language }}" aria-label="{{ $plan->heading ?? $name }}">
@include('widget::head')
@if ($plan->cards === [])
<p class="none quiet">{{ $words->say('widget.none') }}</p>
@else
@include("$layout.template")
@endif
@include('widget::foot')
</section>
</template>
