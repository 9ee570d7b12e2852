@php($rows = \Gnomic\Shape\Parts\Byline::parts($parts))
<div class="by quiet" part="by">
@foreach ($rows['Face'] ?? [] as $part)
@partOf(Face)
@endforeach
<p>
@foreach ($rows['Name'] ?? [] as $part)
@partOf(Name)
@endforeach
@if (isset($rows['Of']))
<span class="of">@foreach ($rows['Of'] as $part)@partOf(Of){{ $loop->last ? '' : $words->say('list.comma') }}@endforeach</span>
@endif
@foreach ($rows['Said'] ?? [] as $part)@partOf(Said)<?php ?>@endforeach
</p>
</div>
