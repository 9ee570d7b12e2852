@if ($plan->head->hasFigures())
<div class="figures">
@if ($plan->head->figure !== null)
<span class="figure" part="figure">{{ $plan->head->figure }}<span class="unseen">{{ $words->say('figures.ofFive') }}</span></span>
@endif
@if ($plan->head->base !== null)
<span class="base quiet" part="base">{{ $plan->head->base }}</span>
@endif
@if ($plan->head->spread !== null)
@php($top = max(1, ...array_values($plan->head->spread)))
@php($spoken = array_map(fn (int $stars): string => $words->say('figures.stars', ['stars' => $stars, 'count' => $plan->head->spread[$stars]]), [5, 4, 3, 2, 1]))
<svg class="spread" part="spread" role="img" width="54" height="20" viewBox="0 0 54 20" aria-label="{{ implode($words->say('list.comma'), $spoken) }}">
@foreach ($plan->head->spread as $stars => $count)
@php($height = max(2, (int) round(20 * $count / $top)))
<rect x="{{ ($stars - 1) * 11 }}" y="{{ 20 - $height }}" width="10" height="{{ $height }}"/>
@endforeach
</svg>
@endif
</div>
@endif
