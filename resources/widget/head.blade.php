@if ($plan->heading !== null)
<p class="heading" role="heading" aria-level="2">{{ $plan->heading }}</p>
@endif
@if ($plan->figure !== null || $plan->base !== null || $plan->spread !== null)
<div class="head">
@if ($plan->figure !== null)
<span class="figure">{{ $plan->figure }}<span class="unseen">{{ $words->say('figures.ofFive') }}</span></span>
@endif
@if ($plan->base !== null)
<span class="base quiet">{{ $plan->base }}</span>
@endif
@if ($plan->spread !== null)
@php($top = max(1, ...array_values($plan->spread)))
@php($spoken = array_map(fn (int $stars): string => $words->say('figures.stars', ['stars' => $stars, 'count' => $plan->spread[$stars]]), [5, 4, 3, 2, 1]))
<svg class="spread" role="img" width="54" height="20" viewBox="0 0 54 20" aria-label="{{ implode($words->say('list.comma'), $spoken) }}">
@foreach ($plan->spread as $stars => $count)
@php($height = max(2, (int) round(20 * $count / $top)))
<rect x="{{ ($stars - 1) * 11 }}" y="{{ 20 - $height }}" width="10" height="{{ $height }}"/>
@endforeach
</svg>
@endif
</div>
@endif
