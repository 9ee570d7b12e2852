@php($rows = $block->byline->parts)
<div class="by quiet{{ $block->byline->isFlat() && $composition::isFlat() ? ' flat' : '' }}" part="by">
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
<?php foreach ($rows['Said'] ?? [] as $part) { ?>@partOf(Said)<?php } ?>
</p>
</div>
