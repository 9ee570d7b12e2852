@if ($plan->head->hasFigures())
@include('widget::figure')
@include('widget::standing')
@endif
