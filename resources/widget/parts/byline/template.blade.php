@php($rows = $block->byline->parts)
@php($isFlat = $block->byline->isFlat() && $composition::isFlat())
<div class="by quiet{{ $isFlat ? ' flat' : '' }}" part="by">
<?php foreach ($rows['Face'] ?? [] as $part) { ?>
@partOf(Face)
<?php } ?>
<p>
<?php foreach ($rows['Name'] ?? [] as $part) { ?>
@partOf(Name)
<?php } ?>
@if (isset($rows['Of']))
<span class="of"><?php foreach ($rows['Of'] as $at => $part) { ?>{{ $at === 0 ? '' : $words->say('list.comma') }}@partOf(Of)<?php } ?></span>
@endif
{{-- Beside the name, the day and the source are one piece. --}}
{!! $isFlat ? '<span>' : '' !!}<?php foreach ($rows['Said'] ?? [] as $part) { ?>@partOf(Said)<?php } ?>{!! $isFlat ? '</span>' : '' !!}
</p>
</div>
