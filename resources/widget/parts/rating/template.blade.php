<p class="rating quiet" part="rating">@if ($part->hasGlyphs){!! $glyphs->rating($tokens, $part->twentieths, $part->shown === $part->text ? null : $part->text) !!}@endif
@if ($part->shown !== null)
<span{!! $part->shown === $part->text ? '' : ' aria-hidden="true"' !!}>{{ $part->shown }}</span>
@endif
</p>

