<div class="view">
<div class="cards{{ $page === '' ? '' : " $page" }}"{!! $track ?? '' !!}>
@include('widget::items')
</div>
</div>
