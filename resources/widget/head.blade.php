@if ($plan->heading !== null)
<p class="heading" role="heading" aria-level="2">{{ $plan->heading }}</p>
@endif
@if ($plan->figure !== null || $plan->base !== null || $plan->spread !== null)
<div class="head">
@if ($plan->figure !== null)
<span class="figure">{{ $plan->figure }}<span class="unseen"> of 5 stars</span></span>
@endif
@if ($plan->base !== null)
<span class="base">{{ $plan->base }}</span>
@endif
@if ($plan->spread !== null)
@php($top = max(1, ...array_values($plan->spread)))
<svg class="spread" role="img" width="54" height="20" viewBox="0 0 54 20" aria-label="@foreach (array_reverse($plan->spread, true) as $stars => $count){{ $loop->first ? '' : ', ' }}{{ $stars }} {{ $stars === 1 ? 'star' : 'stars' }}: {{ $count }}@endforeach">
@foreach ($plan->spread as $stars => $count)
@php($height = max(2, (int) round(20 * $count / $top)))
<rect x="{{ ($stars - 1) * 11 }}" y="{{ 20 - $height }}" width="10" height="{{ $height }}"/>
@endforeach
</svg>
@endif
</div>
@endif
