{{-- Head, cards in the flow, foot: what most layouts are made of. What moves the cards stands before them, and is seen below. --}}
@include('widget::head')
<div class="deck"{!! $deck ?? '' !!}>
@if ($plan->isSearched() || ! $plan->choices->isEmpty())
@include('widget::choose')
@endif
@if ($plan->cards === [])
<p class="none quiet">{{ $plan->shape->empty }}</p>
@else
@foreach ($plan->moved(inside: false) as $of => $layout)
@include("widget::layouts.{$layout::name()}.turn", ['of' => $of, 'layout' => $layout])
@endforeach
@include('widget::cards')
@endif
@include('widget::foot')
</div>
