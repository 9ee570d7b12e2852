@php($bars = $plan->spread())
@php($top = max(1, ...array_values($bars)))
@php($spoken = array_map(fn (int $stars): string => $words->say('figures.stars', ['stars' => $stars, 'count' => $bars[$stars]]), [5, 4, 3, 2, 1]))
<div class="spread quiet" part="spread" role="img" aria-label="{{ implode($words->say('list.comma'), $spoken) }}">
@foreach ([5, 4, 3, 2, 1] as $stars)
<span>{{ $words->number($stars) }}</span><svg viewBox="0 0 100 6" preserveAspectRatio="none"><rect width="100" height="6" class="no"/><rect width="{{ round(100 * $bars[$stars] / $top, 1) }}" height="6"/></svg><span>{{ $words->number($bars[$stars]) }}</span>
@endforeach
</div>
