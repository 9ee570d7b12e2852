<div class="cards">
@foreach ($plan->cards as $card)
@include('widget::card')
@endforeach
</div>
