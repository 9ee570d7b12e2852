@php($bars = $plan->spread())
@php($top = max(1, ...array_values($bars)))
@php($spoken = array_map(fn (int $stars): string => $words->say('figures.stars', ['stars' => $stars, 'count' => $bars[$stars]]), [5, 4, 3, 2, 1]))
<div class="spread quiet" part="spread" {!! $plan->choices->isEmpty() ? 'role="img" aria-label="'.e(implode($words->say('list.comma'), $spoken)).'"' : 'role="group" aria-label="'.e($words->say('choose.name')).'"' !!}>
@foreach ([5, 4, 3, 2, 1] as $at => $stars)
@php($choice = $plan->choices->ofStars($stars))
@if ($choice !== null)
<a class="bar" href="{{ "$home/$choice->file.html" }}" target="_blank" rel="noopener"{!! $choice->isNow ? ' aria-current="true"' : '' !!} aria-label="{{ $spoken[$at] }}">
@endif
<span>{{ $words->number($stars) }}</span><svg viewBox="0 0 100 6" preserveAspectRatio="none"><rect width="100" height="6" class="no"/><rect width="{{ round(100 * $bars[$stars] / $top, 1) }}" height="6"/></svg><span>{{ $words->number($bars[$stars]) }}</span>
@if ($choice !== null)
</a>
@endif
@endforeach
</div>
