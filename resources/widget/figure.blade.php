@if ($plan->head->figure !== null || $plan->head->base !== null)
<div class="figures">
@if ($plan->head->figure !== null)
@if ($plan->headStyle() !== 'stacked' && $plan->layout()::most() !== 0)
{!! $glyphs->rating($tokens, $plan->head->twentieths, null) !!}
@endif
@php([$before, $behind] = $words->around('figures.ofFive', 'value'))
<span class="figure" part="figure">@if ($before !== '')<span class="unseen">{{ $before }}</span>@endif{{ $plan->head->figure }}@if ($behind !== '')<span class="unseen">{{ $behind }}</span>@endif</span>
@endif
@if ($plan->head->base !== null)
<span class="base quiet" part="base">{{ $plan->head->base }}@if ($plan->head->since !== '')<span class="since">{{ $plan->head->since }}</span>@endif</span>
@endif
</div>
@endif
