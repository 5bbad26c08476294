import { words } from '../say';

/** The weather of a night. Rain mm, snow cm, temperatures °C. */

export const WEATHER = {
  weatherUnknown: words<object>({
    about: 'Weather',
    figure: () => 'not known',
    sentence: () => 'Nothing is known of most of the hours to morning: read the station or a file first.',
  }),
  rainBeforeDark: words<{ rain: number }>({
    about: 'Rain before dark',
    figure: ({ rain: mm }, { rain }) => rain(mm),
    sentence: ({ rain: mm }, { rain }) =>
      `${rain(mm)} are expected before dark: lure that lies open washes off, so put it on late or under a roof. Small creeks rise with it.`,
  }),
  rainAtNight: words<{ rain: number }>({
    about: 'Rain tonight',
    figure: ({ rain: mm }, { rain }) => rain(mm),
    sentence: ({ rain: mm }, { rain }) =>
      `${rain(mm)} are expected in the night: breaks cut wider and streams rise. Look at the sets a rise cuts off before dark.`,
  }),
  frozenTriggers: words<{ low: number }>({
    about: 'Cold',
    figure: ({ low }, { temperature }) => temperature(low),
    sentence: ({ low }, { temperature }) =>
      `Down to ${temperature(low)}: wet triggers and dogs in air freeze, pans under mud stiffen. What stands wholly under water goes on working until the ice reaches it.`,
  }),
  scentMarking: words<{ rain: number }>({
    about: 'After a wet day',
    figure: ({ rain: mm }, { rain }) => rain(mm),
    sentence: ({ rain: mm }, { rain }) =>
      `${rain(mm)} fell and it turns dry: scent marking is renewed after a wet day, a good night for mounds.`,
  }),
  snow: words<{ snow: number }>({
    about: 'Snow',
    figure: ({ snow }, { system }) => (system === 'us' ? `${(snow / 2.54).toFixed(0)} in` : `${snow.toFixed(0)} cm`),
    sentence: () => 'New snow hides holes and slows their freezing; tracks before it are gone, those after it are fresh.',
  }),
  quietNight: words<{ low: number | null }>({
    about: 'Weather',
    figure: ({ low }, { temperature }) => (low === null ? '' : temperature(low)),
    sentence: () => 'Neither rain nor hard frost is expected by morning.',
  }),
};
