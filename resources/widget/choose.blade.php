{{-- What visitors may choose: links to what was made ahead, which the script shows in the widget's own place. --}}
@if ($plan->isSearched())
<form class="choose" role="search" data-place="{{ $words->say('carousel.place', ['at' => '{at}', 'count' => '{count}']) }}" action="{{ $plan->all }}" target="_blank">
<input type="search" name="q" maxlength="100" aria-label="{{ $words->say('choose.search') }}">
<button class="way" part="button">{{ $words->say('choose.search') }}</button>
<span class="quiet" role="status"></span>
</form>
@endif
@if ($plan->ways() !== [])
<nav class="choose" aria-label="{{ $words->say('choose.name') }}">
@foreach ($plan->ways() as $choice)
<a class="way" part="button" href="{{ $home }}{{ $choice->isFirst ? '' : "/$choice->file.html" }}" target="_blank" rel="noopener"{!! $choice->isFirst ? ' data-open="'.e("$path/$choice->file.html").'"' : '' !!}{!! $choice->isNow ? ' aria-current="true"' : '' !!}{!! $choice->said === $choice->text ? '' : ' aria-label="'.e($choice->said).'"' !!}>{{ $choice->text }}@if ($choice->stars !== null) {!! $glyphs->sign() !!}@endif</a>
@endforeach
<span class="quiet" role="status">{{ $plan->choices->base }}</span>
</nav>
@elseif (! $plan->choices->isEmpty())
{{-- Chosen by on the bars: what is shown is said to those who come back from a choice. --}}
<p class="unseen shown" role="status">{{ $plan->choices->base }}</p>
@endif
