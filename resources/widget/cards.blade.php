<div class="view">
@foreach ($plan->moved(inside: true) as $of => $layout)
@include("widget::layouts.{$layout::name()}.turn", ['of' => $of, 'layout' => $layout])
@endforeach
<div class="cards{{ $page === '' ? '' : " $page" }}"{!! $track ?? '' !!}>
@include('widget::items')
</div>
</div>
