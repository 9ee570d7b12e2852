<ul class="comments quiet" part="comments" aria-label="{{ $words->say('large.comments') }}">
@foreach ($part->said as $one)
<li dir="auto">@if ($one->author !== null)<bdi class="who">{{ $one->author }}</bdi> @endif{{ $one->text }}</li>
@endforeach
</ul>
