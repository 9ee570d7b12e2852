<div class="view">
@foreach (array_filter($plan->layouts(), fn ($layout) => $layout->isMovedInside()) as $of => $layout)
@includeIf("widget::layouts.{$layout::name()}.turn", ['of' => $of, 'layout' => $layout])
@endforeach
<div class="cards{{ $page === '' ? '' : " $page" }}"{!! $track ?? '' !!}>
@include('widget::items')
</div>
</div>
