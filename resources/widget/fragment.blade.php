{{-- Closed off from the page: its styles stay out and ours stay in. --}}
<template shadowrootmode="open">
@if ($plan->isNothing())
<style>:host{display:none!important}</style>
@else
{{-- Seen once it is whole: nothing of it moves while the rest is on its way. --}}
<style>.g{visibility:hidden!important}</style>
<style>{!! $styles !!}</style>
<div class="box" lang="{{ $words->language }}"{!! $words->digits() === '0123456789' ? '' : ' data-digits="'.e($words->digits()).'"' !!}{!! $with === [] ? '' : ' data-with="'.e(implode(' ', $with)).'"' !!}{!! $key === null ? '' : ' data-key="'.e($key).'"' !!}{!! $enlarged === null ? '' : ' data-enlarge="'.e($enlarged['script']).'" data-large="'.e($enlarged['page']).'"' !!}>
<div class="g{{ $plan->shape->headIsAside() ? " head-{$plan->shape->headAt}" : '' }}" part="widget" role="group" aria-label="{{ $plan->head->heading ?? $words->say('widget.name') }}">
@include($template)
@if ($drawn){!! $glyphs->drawn($tokens) !!}@endif

</div>
</div>
<style>.g{visibility:inherit!important}</style>
@endif
</template>
@if ($markup !== null)
<script type="application/ld+json">{!! $markup !!}</script>
@endif
